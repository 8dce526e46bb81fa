-- how a studio's finished pictures differ from first versions
create table house_style (
  studio_id uuid primary key references studio (id) on delete cascade,
  style jsonb not null,
  active boolean not null
);
