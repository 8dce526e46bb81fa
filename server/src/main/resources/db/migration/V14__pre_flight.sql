-- What was seen of a view before delivery, of which edition of its recipe and line-up.
create table looked_over (
  view_id uuid primary key references view on delete cascade,
  edition bigint not null,
  line_up int not null,
  looked jsonb not null
);
-- Remarks that somebody let pass, with a word.
create table accepted (
  id uuid primary key,
  view_id uuid not null references view on delete cascade,
  concern text not null,
  pass text not null,
  amount double precision not null,
  word text not null,
  who text not null,
  made timestamptz not null,
  unique (view_id, concern, pass)
);
