-- A camera's make apart from its model; frames from before say both in one until they are read again.
alter table frame rename column camera to model;
alter table frame add column make varchar(200) not null default '';
