-- What was in the mixture when it was given, whatever becomes of the recipe.
alter table treatment add column parts varchar(4000) not null default '[]';
