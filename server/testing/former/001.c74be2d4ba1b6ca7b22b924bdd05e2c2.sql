-- The first bench: shelf, heads, routines, trials, wash days, wear. SI units; moments in UTC, dates local.

create table setting (
  key text primary key,
  value jsonb not null
);

create table line (
  id uuid primary key,
  name text not null check (btrim(name) <> ''),
  note text not null default '',
  archived_at timestamptz,
  created_at timestamptz not null default now()
);

create table product (
  id uuid primary key,
  line_id uuid references line,
  name text not null check (btrim(name) <> ''),
  roles text[] not null check (cardinality(roles) > 0),
  size_ml numeric(10, 3) check (size_ml > 0),
  price numeric(10, 2) check (price >= 0),
  currency char(3),
  label_hold text not null,
  ingredients text not null default '' check (length(ingredients) <= 20000),
  label_directions text,
  stake text not null,
  months_after_opening int check (months_after_opening > 0),
  note text not null default '',
  archived_at timestamptz,
  created_at timestamptz not null default now(),
  check (price is null or currency is not null)
);
create index product_line on product (line_id);

-- One physical unit of a product; the newest that is not finished is the one in use.
create table bottle (
  id uuid primary key default gen_random_uuid(),
  product_id uuid not null references product on delete cascade,
  opened_on date,
  finished_on date,
  created_at timestamptz not null default now(),
  check (finished_on is null or opened_on is null or finished_on >= opened_on)
);
create index bottle_product on bottle (product_id);

create table wearer (
  id uuid primary key,
  name text not null check (btrim(name) <> ''),
  time_zone text not null,
  under_age boolean not null default false,
  guardian text,
  consent_on date,
  length_mm numeric(7, 1) check (length_mm > 0),
  porosity text,
  density text,
  strand text,
  pattern text,
  note text not null default '',
  archived_at timestamptz,
  created_at timestamptz not null default now(),
  check (not under_age or (guardian is not null and consent_on is not null))
);

create table zone (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  place text not null,
  side text not null check (side in ('left', 'right', 'both')),
  own_name text,
  porosity text,
  density text,
  strand text,
  pattern text,
  note text not null default '',
  position int not null,
  unique nulls not distinct (wearer_id, place, side, own_name),
  check ((place = 'own') = (own_name is not null))
);

create table curl (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  zone_id uuid not null references zone,
  name text not null check (btrim(name) <> ''),
  stretched_mm numeric(7, 1) not null check (stretched_mm > 0),
  resting_mm numeric(7, 1) not null check (resting_mm > 0),
  position int not null,
  check (resting_mm <= stretched_mm)
);
create index curl_wearer on curl (wearer_id);
create index curl_zone on curl (zone_id);

-- A routine of the library, or a trial's own copy of one (its plan).
create table routine (
  id uuid primary key,
  wearer_id uuid references wearer,
  name text not null check (btrim(name) <> ''),
  note text not null default '',
  is_plan boolean not null default false,
  archived_at timestamptz,
  created_at timestamptz not null default now()
);
create index routine_wearer on routine (wearer_id);

create table step (
  id uuid primary key,
  routine_id uuid not null references routine on delete cascade,
  position int not null,
  slot text not null,
  part text not null default 'held' check (part in ('held', 'tested', 'free')),
  product_id uuid references product,
  dose_kind text check (dose_kind in ('exact', 'range', 'unknown')),
  dose_low numeric(8, 3) check (dose_low > 0),
  dose_high numeric(8, 3) check (dose_high >= dose_low),
  dose_measure text,
  dose_per text check (dose_per in ('head', 'section')),
  sections int check (sections > 0),
  wetness text,
  minutes numeric(7, 2) check (minutes > 0),
  technique text,
  tool text,
  heat text,
  note text not null default '',
  unique (routine_id, position) deferrable initially deferred,
  check (dose_kind is null or dose_kind = 'unknown' or (dose_low is not null and dose_high is not null and dose_measure is not null and dose_per is not null))
);
create index step_product on step (product_id);

create table trial (
  id uuid primary key,
  wearer_id uuid not null references wearer,
  plan_id uuid not null unique references routine,
  question text not null check (btrim(question) <> ''),
  design text not null default 'balanced complete',
  status text not null default 'planned' check (status in ('planned', 'running', 'finished', 'ended')),
  primary_outcome text not null,
  line_value numeric(4, 2) not null check (line_value between 0 and 10),
  matters numeric(4, 2) not null check (matters > 0),
  alpha numeric(4, 3) not null default 0.05 check (alpha > 0 and alpha < 1),
  wash_days int not null check (wash_days >= 2),
  wear_days int not null check (wear_days >= 1),
  seed int not null,
  created_at timestamptz not null default now(),
  started_at timestamptz,
  ended_at timestamptz,
  end_reason text,
  archived_at timestamptz,
  check (status <> 'ended' or end_reason is not null),
  check ((status in ('finished', 'ended')) = (ended_at is not null))
);
create index trial_wearer on trial (wearer_id);

create table trial_zone (
  trial_id uuid not null references trial on delete cascade,
  zone_id uuid not null references zone,
  weight numeric(6, 3) not null check (weight > 0),
  primary key (trial_id, zone_id)
);
create index trial_zone_zone on trial_zone (zone_id);

create table arm (
  id uuid primary key,
  trial_id uuid not null references trial on delete cascade,
  position int not null,
  name text not null check (btrim(name) <> ''),
  unique (trial_id, position) deferrable initially deferred
);

create table arm_step (
  arm_id uuid not null references arm on delete cascade,
  step_id uuid not null references step,
  product_id uuid references product,
  dose_kind text check (dose_kind in ('exact', 'range', 'unknown')),
  dose_low numeric(8, 3) check (dose_low > 0),
  dose_high numeric(8, 3) check (dose_high >= dose_low),
  dose_measure text,
  dose_per text check (dose_per in ('head', 'section')),
  primary key (arm_id, step_id)
);
create index arm_step_step on arm_step (step_id);
create index arm_step_product on arm_step (product_id);

-- Which arm falls to which wash day, or to which half of it. Drawn once, never changed after the trial's first start.
create table allocation (
  trial_id uuid not null references trial on delete cascade,
  position int not null check (position >= 0),
  half text check (half in ('left', 'right')),
  arm_id uuid not null references arm,
  unique nulls not distinct (trial_id, position, half)
);
create index allocation_arm on allocation (arm_id);

create function allocation_is_immutable() returns trigger language plpgsql as $$
begin
  if exists (select 1 from trial where id = old.trial_id and started_at is not null) then
    raise exception 'The allocation of a trial that has begun cannot change.' using errcode = 'check_violation';
  end if;
  return case when tg_op = 'DELETE' then old else new end;
end $$;
create trigger allocation_immutable before update or delete on allocation
  for each row execute function allocation_is_immutable();

create table wash_day (
  id uuid primary key,
  trial_id uuid not null references trial,
  position int not null check (position >= 0),
  arm_id uuid not null references arm,
  started_at timestamptz not null,
  washed_at timestamptz check (washed_at >= started_at - interval '1 day'),
  dry_at timestamptz,
  reveal_at timestamptz,
  routine_done_at timestamptz,
  temperature_c numeric(4, 1) check (temperature_c between -45 and 60),
  humidity numeric(4, 1) check (humidity between 0 and 100),
  note text not null default '',
  abandoned_at timestamptz,
  abandon_reason text,
  wear_end_kind text,
  wear_ended_at timestamptz,
  created_at timestamptz not null default now(),
  check (dry_at is null or washed_at is null or dry_at >= washed_at),
  check (reveal_at is null or dry_at is null or reveal_at >= dry_at),
  check ((abandoned_at is null) = (abandon_reason is null)),
  check ((wear_end_kind is null) = (wear_ended_at is null))
);
create unique index wash_day_once on wash_day (trial_id, position) where abandoned_at is null;
create index wash_day_arm on wash_day (arm_id);

create table wash_step (
  id uuid primary key,
  wash_day_id uuid not null references wash_day on delete cascade,
  plan_step_id uuid references step,
  position numeric(10, 4) not null,
  slot text not null,
  status text not null default 'waiting' check (status in ('waiting', 'done', 'skipped')),
  product_id uuid references product,
  dose_kind text check (dose_kind in ('exact', 'range', 'unknown')),
  dose_low numeric(8, 3) check (dose_low > 0),
  dose_high numeric(8, 3) check (dose_high >= dose_low),
  dose_measure text,
  dose_per text check (dose_per in ('head', 'section')),
  sections int check (sections > 0),
  wetness text,
  minutes numeric(7, 2) check (minutes > 0),
  technique text,
  tool text,
  heat text,
  note text not null default '',
  started_at timestamptz,
  done_at timestamptz
);
create index wash_step_day on wash_step (wash_day_id);
create index wash_step_plan on wash_step (plan_step_id);
create index wash_step_product on wash_step (product_id);

create table check_in (
  id uuid primary key,
  wash_day_id uuid not null references wash_day on delete cascade,
  stage text not null check (stage in ('wet', 'cast', 'wear')),
  day int check (day >= 1),
  at timestamptz not null,
  note text not null default '',
  unique nulls not distinct (wash_day_id, stage, day),
  check ((stage = 'wear') = (day is not null))
);

-- One measured or rated value: exactly one of outcome-by-zone or a curl's length.
create table reading (
  id uuid primary key default gen_random_uuid(),
  check_in_id uuid not null references check_in on delete cascade,
  outcome text not null,
  zone_id uuid references zone,
  curl_id uuid references curl,
  value numeric(10, 4) not null,
  unit text not null,
  obtained text not null check (obtained in ('rated', 'measured')),
  unique nulls not distinct (check_in_id, outcome, zone_id, curl_id),
  check (obtained <> 'rated' or value between 0 and 10),
  check (curl_id is null or zone_id is null)
);
create index reading_zone on reading (zone_id);
create index reading_curl on reading (curl_id);

create table event (
  id uuid primary key,
  wash_day_id uuid not null references wash_day on delete cascade,
  kind text not null,
  happened_on date not null,
  note text not null default ''
);
create index event_wash_day on event (wash_day_id);

-- A dose as the wire carries it.
create function dose_json(kind text, low numeric, high numeric, measure text, per text) returns jsonb
language sql immutable as $$
  select case kind
    when 'exact' then jsonb_build_object('kind', kind, 'amount', low, 'measure', measure, 'per', per)
    when 'range' then jsonb_build_object('kind', kind, 'from', low, 'to', high, 'measure', measure, 'per', per)
    when 'unknown' then jsonb_build_object('kind', kind)
  end
$$;
