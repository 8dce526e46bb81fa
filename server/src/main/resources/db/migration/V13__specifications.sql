-- What a studio delivers by, under names.
create table specification (
  id uuid primary key,
  studio_id uuid not null references studio on delete cascade,
  position int not null,
  name text not null,
  body jsonb not null
);
create index on specification (studio_id, position);
alter table delivered add column specification text not null default '';
alter table delivered add column made timestamptz not null default now();
update delivered d set made = j.created from job j where j.id = d.job_id;
-- Links by which clients fetch a delivery without signing in.
create table client_link (
  id uuid primary key,
  studio_id uuid not null references studio on delete cascade,
  shoot_id uuid not null references shoot on delete cascade,
  job_id uuid not null references job on delete cascade,
  hash text not null unique,
  made timestamptz not null,
  until timestamptz not null,
  downloads int not null default 0
);
create index on client_link (shoot_id, made);
-- orders that still wait say specifications from now on
update job j set subject = jsonb_build_object(
  'views', j.subject -> 'views',
  'specifications', (
    select jsonb_agg(jsonb_build_object(
      'name', f.format,
      'size', case when (j.subject ->> 'longEdge')::int = 0
        then jsonb_build_object('kind', 'FULL', 'width', 0, 'height', 0, 'ppi', 0)
        else jsonb_build_object('kind', 'LONG_EDGE', 'width', j.subject -> 'longEdge',
          'height', 0, 'ppi', 0) end,
      'format', f.format,
      'space', 'SRGB',
      'quality', j.subject -> 'quality',
      'fullChroma', false,
      'mostBytes', 0,
      'sharpness', coalesce(j.subject ->> 'sharpness', 'NONE'),
      'pattern', case when (j.subject ->> 'longEdge')::int = 0
        then '{view}' else '{view}-{size}' end))
    from jsonb_array_elements_text(j.subject -> 'formats') f(format)),
  'credits', jsonb_build_object(
    'creator', '', 'copyright', coalesce(j.subject ->> 'copyright', ''),
    'caption', '', 'property', '', 'keywords', '[]'::jsonb))
where j.kind = 'DELIVERY' and j.subject ? 'formats';
