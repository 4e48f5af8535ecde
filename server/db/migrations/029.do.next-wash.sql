-- The day a trial's next wash was moved to; gone once that wash begins. And a day on which the hair is to be seen.
create table next_wash (
  trial_id uuid primary key references trial on delete cascade,
  on_date date not null
);
alter domain hair_event_key drop constraint hair_event_key_check;
alter domain hair_event_key add constraint hair_event_key_check check (value in (
  'colour', 'bleach', 'relaxer', 'heat', 'blow-out', 'trim', 'big-cut', 'braids-in', 'braids-out', 'protein-intense',
  'protein-light', 'bond', 'deep-condition', 'clarify', 'health', 'swim', 'transition', 'pattern-changed',
  'pattern-disputed', 'tight-style', 'show'));
