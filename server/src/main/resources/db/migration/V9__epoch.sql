-- From a restore on, revisions count anew: what a device made before is compared by value.
create table if not exists epoch (
    id varchar(36) primary key,
    began_at timestamp(3) with time zone not null
);
insert into epoch (id, began_at) values (cast(random_uuid() as varchar(36)), current_timestamp);
