create table studio (
  id uuid primary key,
  name text not null
);
create table account (
  id uuid primary key,
  studio_id uuid not null references studio,
  email text not null unique,
  name text not null,
  password text not null
);
create table shoot (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null,
  created timestamptz not null default now()
);
create table view (
  id uuid primary key,
  shoot_id uuid not null references shoot on delete cascade,
  position int not null,
  name text not null,
  state text not null,
  width int not null,
  height int not null,
  anchor_id uuid,
  response jsonb,
  current_revision int not null default 0,
  edition bigint not null default 0
);
create index on view (shoot_id);
create table frame (
  id uuid primary key,
  view_id uuid not null references view on delete cascade,
  position int not null,
  name text not null,
  sha256 text not null,
  width int not null,
  height int not null,
  role text not null,
  stops double precision not null,
  stops_known boolean not null,
  seconds double precision,
  aperture double precision,
  iso double precision,
  taken timestamp,
  flash boolean not null,
  camera text not null,
  placed_a double precision not null default 1,
  placed_b double precision not null default 0,
  placed_dx double precision not null default 0,
  placed_dy double precision not null default 0,
  spread double precision not null default 0,
  sure boolean not null default true,
  burnt double precision not null default 0,
  blocked double precision not null default 0,
  unique (view_id, sha256)
);
create table revision (
  view_id uuid not null references view on delete cascade,
  number int not null,
  parent int not null,
  recipe jsonb not null,
  said text not null,
  made timestamptz not null default now(),
  primary key (view_id, number)
);
create table job (
  id uuid primary key,
  studio_id uuid not null references studio,
  shoot_id uuid not null references shoot on delete cascade,
  kind text not null,
  subject jsonb not null,
  state text not null,
  done int not null default 0,
  total int not null default 1,
  doing text not null default '',
  problems jsonb not null default '[]',
  cancelled boolean not null default false,
  created timestamptz not null default now(),
  finished timestamptz
);
create index on job (shoot_id);
create table delivered (
  id uuid primary key,
  job_id uuid not null references job on delete cascade,
  view_id uuid not null references view on delete cascade,
  name text not null,
  format text not null,
  path text not null,
  bytes bigint not null,
  width int not null,
  height int not null,
  unique (job_id, name)
);
create table scheduled_tasks (
  task_name text not null,
  task_instance text not null,
  task_data bytea,
  execution_time timestamptz not null,
  picked boolean not null,
  picked_by text,
  last_success timestamptz,
  last_failure timestamptz,
  consecutive_failures int,
  last_heartbeat timestamptz,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);
create index on scheduled_tasks (execution_time);
create index on scheduled_tasks (last_heartbeat);
