-- What waits to be tried: trials to be run again from a day on, and what was put aside for now.
create table retest (
  trial_id uuid primary key references trial on delete cascade,
  from_date date not null,
  why text not null default '' check (length(why) <= 300)
);
create domain to_try_key as text check (value in ('idea', 'untried', 'retest', 'formula'));
create table put_aside (
  kind to_try_key not null,
  ref uuid not null,
  at timestamptz not null default now(),
  primary key (kind, ref)
);
