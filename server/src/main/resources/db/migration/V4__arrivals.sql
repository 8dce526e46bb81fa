create table arrival (
  id uuid primary key,
  shoot_id uuid not null references shoot on delete cascade,
  name text not null,
  sha256 text not null,
  bytes bigint not null,
  came timestamptz not null default now(),
  unique (shoot_id, sha256),
  unique (shoot_id, name)
);
