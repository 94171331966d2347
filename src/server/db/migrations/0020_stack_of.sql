-- Trays in a stack, where the grower chose how many; null for as many as the seed at the bottom bears.
alter table sowings add column stack_of smallint check (stack_of between 1 and 7);
