-- The focal length of a frame's lens as it would be on a frame whose long edge is 36 mm.
alter table frame add column wide double precision;
