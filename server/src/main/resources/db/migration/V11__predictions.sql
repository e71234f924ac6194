-- What was predicted of a light when it was read, in colour too, and by which model; what an earlier one predicted is worked out again.
alter table reading add column predicted_kelvin double precision;
alter table reading add column predicted_duv double precision;
alter table reading add column model integer default 1 not null;
