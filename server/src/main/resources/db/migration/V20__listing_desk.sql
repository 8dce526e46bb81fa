-- what the listing desk said of a delivered file
create table desk_answer (
  delivered_id uuid primary key references delivered on delete cascade,
  accepted boolean not null,
  objections jsonb not null,
  answered timestamptz not null
);
