-- Weather: places, their normals, readings stored once, and where a wearer's hair was when.

create domain weather_source_key as text check (value in ('hand', 'csv', 'metar', 'station'));
create domain scenario_key as text check (value in ('seasons', 'dry-cold', 'sticky-heat', 'gale'));

-- A place of weather; `station` is what its simulated station plays, null for none.
create table locality (
  id uuid primary key,
  name text not null check (btrim(name) <> ''),
  time_zone text not null,
  station scenario_key,
  note text not null default '',
  archived_at timestamptz,
  created_at timestamptz not null default now()
);

create table month_normal (
  locality_id uuid not null references locality on delete cascade,
  month int not null check (month between 1 and 12),
  high_c numeric(4, 1) not null check (high_c between -45 and 60),
  low_c numeric(4, 1) not null check (low_c between -45 and 60),
  humidity numeric(4, 1) not null check (humidity between 1 and 100),
  wind_ms numeric(4, 1) not null check (wind_ms between 0 and 90),
  primary key (locality_id, month),
  check (high_c >= low_c)
);

-- Readings that came in together, so that they can be taken out together.
create table weather_batch (
  id uuid primary key,
  locality_id uuid not null references locality on delete cascade,
  source weather_source_key not null check (source <> 'station'),
  name text not null check (btrim(name) <> ''),
  taken_at timestamptz not null default now()
);
create index weather_batch_locality on weather_batch (locality_id);

-- One reading a place and moment, stored once. No batch: the simulated station read it.
create table weather_reading (
  locality_id uuid not null references locality on delete cascade,
  at timestamptz not null,
  temperature_c numeric(4, 1) not null check (temperature_c between -45 and 60),
  humidity numeric(4, 1) not null check (humidity between 0 and 100),
  wind_ms numeric(4, 1) check (wind_ms between 0 and 90),
  gust_ms numeric(4, 1) check (gust_ms between 0 and 90),
  batch_id uuid references weather_batch on delete cascade,
  primary key (locality_id, at)
);
create index weather_reading_batch on weather_reading (batch_id);

-- From this local date on a wearer is at this place.
create table stay (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  locality_id uuid not null references locality,
  from_on date not null,
  unique (wearer_id, from_on)
);
create index stay_locality on stay (locality_id);

-- Hours out of doors and indoors on one day of a wash day's wear.
create table day_outdoors (
  wash_day_id uuid not null references wash_day on delete cascade,
  on_date date not null,
  outdoor_hours numeric(4, 2) check (outdoor_hours between 0 and 24),
  indoor_hours numeric(4, 2) check (indoor_hours between 0 and 24),
  primary key (wash_day_id, on_date),
  check (coalesce(outdoor_hours, 0) + coalesce(indoor_hours, 0) <= 24)
);
