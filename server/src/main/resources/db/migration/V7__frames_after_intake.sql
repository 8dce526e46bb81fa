-- A frame in the bin still belongs to its view, which is shown without it.
alter table frame add column binned timestamptz;
-- How often a view was lined up; what was opened before does not hold any more.
alter table view add column line_up int not null default 0;
