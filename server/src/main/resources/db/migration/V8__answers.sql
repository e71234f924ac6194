-- A call that bears a key is answered as it was the first time, however often it is sent.
alter table idempotency_key add column call varchar(400);
alter table idempotency_key add column status integer;
alter table idempotency_key add column content_type varchar(100);
alter table idempotency_key add column etag varchar(60);
alter table idempotency_key add column body varbinary;
create index idempotency_key_done_at on idempotency_key (done_at);
