-- pages with lettering over a picture of the shoot
create table cover_page (
  id uuid primary key,
  shoot_id uuid not null references shoot on delete cascade,
  page jsonb not null,
  made timestamptz not null
);
create index on cover_page (shoot_id);
