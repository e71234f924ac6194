-- Photographs of a later check or of a rebuild are read apart from those of the record; and where somebody says that one was taken from.
alter table photo_taps add column taken_for varchar(40);
alter table photo_taps add column stood_x double precision;
alter table photo_taps add column stood_y double precision;
