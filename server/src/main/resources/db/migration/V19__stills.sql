-- What is said of a photograph of a shot, a small picture of it, and that a note can be brought back.
create table still (
    note_id bigint primary key references note (id) on delete cascade,
    uid uuid default random_uuid() not null,
    shot_id bigint not null references shot (id) on delete cascade,
    run_id bigint references rebuild_run (id) on delete set null,
    kind varchar(12) not null,
    video_range boolean not null,
    points varchar(4000) not null,
    reference boolean not null,
    digest varchar(64) not null,
    version bigint not null
);
create unique index still_uid on still (uid);
create index still_of_shot on still (shot_id);
create table still_small (
    note_id bigint primary key references note (id) on delete cascade,
    listed binary varying(100000) not null,
    shown binary varying(2000000) not null
);
alter table note add column taken_out_at timestamp(3) with time zone;
