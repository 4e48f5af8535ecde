-- A trial may be judged by a reading in five words and the word that is wanted of it: "clumps:2".
alter table trial alter column primary_outcome type text;
alter table trial add constraint trial_primary_outcome_check check (
  primary_outcome in ('definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'scalp')
  or primary_outcome ~ '^[a-z-]+:[0-4]$');
-- Words a wearer wishes for, each reading with the place of its word among the five.
alter table wearer_wish add column words jsonb not null default '{}' check (jsonb_typeof(words) = 'object');
