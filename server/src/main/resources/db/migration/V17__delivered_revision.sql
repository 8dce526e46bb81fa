-- The step of the view that a file shows; 0 of files from before it was kept.
alter table delivered add column revision int not null default 0;
