-- What was carried over from one view to others in one go, so that it can be taken back in one go.
create table carried_over (
  id uuid primary key,
  shoot_id uuid not null references shoot on delete cascade,
  from_name text not null,
  made timestamptz not null,
  undone boolean not null default false,
  revisions jsonb not null
);
create index on carried_over (shoot_id, made);
-- Names of drawn regions that came along with it and are to be looked at.
alter table view add column look_at jsonb not null default '[]';
