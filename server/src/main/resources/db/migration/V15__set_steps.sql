-- Steps that several views take together: carrying over is one of them.
alter table carried_over rename to set_step;
alter table set_step rename column from_name to said;
update set_step set said = 'Carried over from ' || said;
-- Colours of the surfaces of a view, of which edition of its recipe, line-up and board.
create table surface_colours (
  view_id uuid primary key references view on delete cascade,
  edition bigint not null,
  line_up int not null,
  board text not null,
  colours jsonb not null
);
