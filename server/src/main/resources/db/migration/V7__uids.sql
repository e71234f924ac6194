-- Whatever a person adds has a uid: the same wherever the record goes, for merging and for links.

alter table production add column uid uuid default random_uuid() not null;
create unique index production_uid on production (uid);
alter table stage_set add column uid uuid default random_uuid() not null;
create unique index stage_set_uid on stage_set (uid);
alter table scene add column uid uuid default random_uuid() not null;
create unique index scene_uid on scene (uid);
alter table placement add column uid uuid default random_uuid() not null;
create unique index placement_uid on placement (uid);
alter table shot add column uid uuid default random_uuid() not null;
create unique index shot_uid on shot (uid);
alter table knot add column uid uuid default random_uuid() not null;
create unique index knot_uid on knot (uid);
alter table knot_event add column uid uuid default random_uuid() not null;
create unique index knot_event_uid on knot_event (uid);
alter table picture add column uid uuid default random_uuid() not null;
create unique index picture_uid on picture (uid);
alter table own_fixture add column uid uuid default random_uuid() not null;
create unique index own_fixture_uid on own_fixture (uid);
alter table account add column uid uuid default random_uuid() not null;
create unique index account_uid on account (uid);
alter table invitation add column uid uuid default random_uuid() not null;
create unique index invitation_uid on invitation (uid);
alter table edit add column uid uuid default random_uuid() not null;
create unique index edit_uid on edit (uid);
alter table shot_revision add column uid uuid default random_uuid() not null;
create unique index shot_revision_uid on shot_revision (uid);
alter table take add column uid uuid default random_uuid() not null;
create unique index take_uid on take (uid);
alter table note add column uid uuid default random_uuid() not null;
create unique index note_uid on note (uid);
alter table note_photo add column uid uuid default random_uuid() not null;
create unique index note_photo_uid on note_photo (uid);
alter table look add column uid uuid default random_uuid() not null;
create unique index look_uid on look (uid);
alter table move_tick add column uid uuid default random_uuid() not null;
create unique index move_tick_uid on move_tick (uid);
alter table rebuild_run add column uid uuid default random_uuid() not null;
create unique index rebuild_run_uid on rebuild_run (uid);
alter table run_step add column uid uuid default random_uuid() not null;
create unique index run_step_uid on run_step (uid);
alter table reading add column uid uuid default random_uuid() not null;
create unique index reading_uid on reading (uid);
alter table dial_point add column uid uuid default random_uuid() not null;
create unique index dial_point_uid on dial_point (uid);
alter table scene_match add column uid uuid default random_uuid() not null;
create unique index scene_match_uid on scene_match (uid);
alter table shot_match add column uid uuid default random_uuid() not null;
create unique index shot_match_uid on shot_match (uid);
alter table by_eye add column uid uuid default random_uuid() not null;
create unique index by_eye_uid on by_eye (uid);
alter table network_node add column uid uuid default random_uuid() not null;
create unique index network_node_uid on network_node (uid);
alter table output_session add column uid uuid default random_uuid() not null;
create unique index output_session_uid on output_session (uid);

-- Calls that were done, under the name that the platform has for it.
alter table done_call rename to idempotency_key;

-- Whether a person wears glasses was read out of the kind's name.
alter table placement add column glasses boolean;
update placement set glasses = true where kind = 'MARK' and lower(what) like '%glasses%';

-- Discharge lamps under the field's word, and with the time that they take to warm up, which was read out of their noise.
update placement set what = replace(what, 'HMI', 'Discharge') where what like '%HMI%';
update placement set lamp = replace(lamp, '"noise":"ballast', '"warmUpS":45,"noise":"ballast') where lamp like '%"noise":"ballast%';
update run_step set piece = replace(replace(piece, 'HMI', 'Discharge'), '"noise":"ballast', '"warmUpS":45,"noise":"ballast')
where piece like '%HMI%' or piece like '%"noise":"ballast%';
update own_fixture set fixture = replace(replace(fixture, 'HMI', 'Discharge'), '"noise":"ballast', '"warmUpS":45,"noise":"ballast')
where fixture like '%HMI%' or fixture like '%"noise":"ballast%';
update own_fixture set what = replace(what, 'HMI', 'Discharge') where what like '%HMI%';

-- What a signed verdict says is kept as it was signed; its parts bear the names that are read today.
update rebuild_run set signed_page = replace(replace(signed_page, '"stilled":', '"waiver":'), '"STILLED"', '"WAIVED"')
where signed_page is not null;
