-- A trial may be judged by how many days a rated outcome stays good enough: "lasting:definition". Its line is on that outcome's
-- scale, what matters is in days.
alter table trial drop constraint trial_primary_outcome_check;
alter table trial add constraint trial_primary_outcome_check check (
  primary_outcome in ('definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'scalp')
  or primary_outcome ~ '^[a-z-]+:([0-4]|less|more)$'
  or primary_outcome ~ '^lasting:(definition|frizz|volume|shine|softness|hold|scalp)$');
