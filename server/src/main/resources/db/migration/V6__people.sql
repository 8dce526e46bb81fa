-- Sessions, as Spring Session keeps them (its own schema for PostgreSQL).
create table spring_session (
  primary_id char(36) primary key,
  session_id char(36) not null unique,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create index on spring_session (expiry_time);
create index on spring_session (principal_name);
create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
-- What someone may do in the studio; whoever was there before founded it.
alter table account add column role text not null default 'OWNER';
create index on account (studio_id);
-- A link by which someone joins a studio; only its hash is kept.
create table invitation (
  id uuid primary key,
  studio_id uuid not null references studio on delete cascade,
  role text not null,
  hash text not null unique,
  invited_by text not null,
  until timestamptz not null
);
create index on invitation (studio_id);
-- Who did what that others may ask about later.
create table audit_line (
  id uuid primary key,
  studio_id uuid not null references studio on delete cascade,
  at timestamptz not null default now(),
  who text not null,
  said text not null
);
create index on audit_line (studio_id, at desc);
-- Whether the simulated card reader is the studio's.
alter table studio add column reader boolean not null default false;
update studio set reader = true;
