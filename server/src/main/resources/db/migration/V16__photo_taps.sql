-- What the camera's file says of its lens, as if on 36 mm of film, and what was tapped in a photograph.
alter table note_photo add column focal_35 double precision;
create table photo_taps (
    note_id bigint primary key references note (id) on delete cascade,
    uid uuid default random_uuid() not null,
    taps varchar(20000) not null,
    author varchar(60) not null,
    version bigint not null
);
create unique index photo_taps_uid on photo_taps (uid);
