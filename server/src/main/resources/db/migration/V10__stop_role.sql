-- Who may stop output: that role and those above it.
create table output_setting (
    id integer primary key,
    stopped_by varchar(20) not null,
    version bigint not null
);
insert into output_setting (id, stopped_by, version) values (1, 'CONTROL', 0);
