-- The lens of a frame, and how far the camera's clock is from UTC.
alter table frame add column lens text not null default '';
alter table frame add column focal double precision;
alter table frame add column clock text not null default '';
