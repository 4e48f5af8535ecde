-- A trial may be judged by what is measured, in photographs or by curl lengths, and the way it is wanted: "halo:less". Its
-- numbers are in units of their own; the contract holds ratings to their scale.
alter table trial drop constraint trial_primary_outcome_check;
alter table trial add constraint trial_primary_outcome_check check (
  primary_outcome in ('definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'scalp')
  or primary_outcome ~ '^[a-z-]+:([0-4]|less|more)$');
alter table trial drop constraint trial_line_value_check;
alter table trial alter column line_value type numeric(9, 3), alter column matters type numeric(9, 3);
alter table trial add constraint trial_line_value_check check (line_value between 0 and 100000);
