-- Revisions of a view that have a name; one of them may be what is delivered.
create table alternative (
  id uuid primary key,
  view_id uuid not null references view on delete cascade,
  name text not null,
  revision int not null,
  chosen boolean not null default false,
  made timestamptz not null,
  unique (view_id, name)
);
create unique index on alternative (view_id) where chosen;
