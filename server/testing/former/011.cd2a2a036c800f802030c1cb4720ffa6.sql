-- The wash day at the basin: taps as devices sent them, and what they tell beside the steps' settings.
create domain mark_key as text check (value in (
  'more', 'wiped-off', 'longer', 'shorter', 'interrupted', 'ran-out', 'dried-rewet', 'early', 'spot-dried'));
create domain mark_reason_key as text check (value in (
  'untold', 'hair', 'empty', 'time', 'called', 'mistake', 'sore', 'broken'));
create domain pause_reason_key as text check (value in ('untold', 'door', 'child', 'call', 'water', 'rest'));
create domain in_hand_key as text check (value in (
  'slip', 'lather', 'spread', 'scent', 'tack', 'drip', 'clean', 'colour'));
create domain idea_key as text check (value in (
  'less', 'more', 'wetter', 'drier', 'longer', 'shorter', 'other-role', 'other-order', 'after-clarify'));

-- Every tap once, by the id its device gave it. What a step or a day is told twice goes by the latest moment.
create table wash_tap (
  id uuid primary key,
  wash_day_id uuid not null references wash_day on delete cascade,
  device text not null,
  at timestamptz not null,
  kind text not null,
  body jsonb not null,
  refused text,
  heard_at timestamptz not null default now()
);
create index on wash_tap (wash_day_id, at desc);

create table step_pause (
  id uuid primary key,
  wash_step_id uuid not null references wash_step on delete cascade,
  paused_at timestamptz not null,
  resumed_at timestamptz check (resumed_at >= paused_at),
  reason pause_reason_key not null
);
create index on step_pause (wash_step_id);

create table step_mark (
  id uuid primary key,
  wash_step_id uuid not null references wash_step on delete cascade,
  mark mark_key not null,
  reason mark_reason_key not null,
  note text not null default '',
  at timestamptz not null
);
create index on step_mark (wash_step_id);

create table in_hand_reading (
  wash_step_id uuid not null references wash_step on delete cascade,
  quality in_hand_key not null,
  value int not null check (value between 0 and 4),
  primary key (wash_step_id, quality)
);

create table idea (
  id uuid primary key,
  wash_step_id uuid not null references wash_step on delete cascade,
  idea idea_key not null,
  at timestamptz not null
);
create index on idea (wash_step_id);

create table weighing (
  wash_step_id uuid not null references wash_step on delete cascade,
  phase text not null check (phase in ('before', 'after')),
  grams numeric not null check (grams >= 0),
  primary key (wash_step_id, phase)
);

alter table wash_day
  add column strain int check (strain between 0 and 4),
  add column patience int check (patience between 0 and 4),
  add column shed_hairs int check (shed_hairs >= 0),
  add column shed_counted boolean not null default false;

-- Whether a product has been on a head before is asked for at every step.
create index on wash_step (product_id) where status = 'done';

-- Weighed repeats of one measure of a product, grams each.
create table calibration (
  product_id uuid not null references product on delete cascade,
  measure measure_key not null,
  grams numeric[] not null check (cardinality(grams) between 1 and 50),
  at timestamptz not null default now(),
  primary key (product_id, measure)
);

-- Photographs of a wash day, whole as the phone sent them, piece by piece; `size` bytes make it complete.
create domain angle_key as text check (value in ('front', 'left', 'right', 'back', 'crown', 'close-up'));
create table photograph (
  id uuid primary key,
  wash_day_id uuid not null references wash_day on delete cascade,
  stage text not null,
  day int,
  angle angle_key not null,
  taken_at timestamptz not null,
  type text not null check (type in ('image/jpeg', 'image/png', 'image/webp')),
  width int not null check (width > 0),
  height int not null check (height > 0),
  size int not null check (size > 0),
  bytes bytea not null default '',
  check (length(bytes) <= size)
);
create index on photograph (wash_day_id);
