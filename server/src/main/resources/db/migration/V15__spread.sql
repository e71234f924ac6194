-- How far this crew's lights and meters stray, as JSON; null while it is the usual.
alter table production add column spread varchar(400);
