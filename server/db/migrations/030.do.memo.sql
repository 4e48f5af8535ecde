-- A note told from anywhere, in words or by voice, about one thing or none, until it is seen to.
create table memo (
  id uuid primary key,
  told_at timestamptz not null,
  words text not null default '' check (length(words) <= 4000),
  wash_day_id uuid references wash_day on delete cascade,
  wearer_id uuid references wearer on delete cascade,
  product_id uuid references product on delete cascade,
  trial_id uuid references trial on delete cascade,
  type text check (type in ('audio/webm', 'audio/ogg', 'audio/mp4')),
  seconds int check (seconds between 0 and 3600),
  size int check (size between 1 and 12000000),
  bytes bytea,
  done_at timestamptz,
  check (num_nonnulls(wash_day_id, wearer_id, product_id, trial_id) <= 1),
  check (words <> '' or type is not null),
  check (num_nonnulls(type, seconds, size) in (0, 3))
);
create index memo_wash_day on memo (wash_day_id);
create index memo_wearer on memo (wearer_id);
create index memo_product on memo (product_id);
create index memo_trial on memo (trial_id);
alter table memo alter column bytes set storage external;
