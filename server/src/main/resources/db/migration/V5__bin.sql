-- When a shoot or a view was put into the bin; nothing is shown of it, and after 30 days it is deleted.
alter table shoot add column binned timestamptz;
alter table view add column binned timestamptz;
create index on frame (sha256);
