-- A recipe's edition changes with the recipe alone; a row's version with anything.
alter table view add column recipe_edition bigint not null default 0;
update view set recipe_edition = edition;
alter table view rename column edition to version;
-- What stands in delivered files unless the order says something else.
alter table studio add column copyright text not null default '';
