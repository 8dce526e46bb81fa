-- a word on a view, and until when it rests
alter table view add column note text not null default '';
alter table view add column rests_until timestamptz;
