-- Probes of a view, the surfaces that they belong to, and the one that is the reference.
create table balance_board (
  view_id uuid primary key references view on delete cascade,
  content jsonb not null
);
