-- The hair file: evidence on porosity, and the history of a head.

create domain porosity_test_key as text check (value in (
  'bead', 'wet-through', 'product', 'slide', 'history', 'age', 'grey', 'air-dry', 'float'
));
create domain hair_event_key as text check (value in (
  'colour', 'bleach', 'relaxer', 'heat', 'blow-out', 'trim', 'big-cut', 'braids-in', 'braids-out', 'protein-intense',
  'protein-light', 'bond', 'deep-condition', 'clarify', 'health', 'swim'
));

create table hair_test (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  zone_id uuid references zone,
  kind porosity_test_key not null,
  value numeric(10, 2) check (value >= 0),
  outcome text,
  tested_on date not null,
  note text not null default '',
  check ((value is null) <> (outcome is null))
);
create index hair_test_wearer on hair_test (wearer_id);
create index hair_test_zone on hair_test (zone_id);

create table hair_event (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  kind hair_event_key not null,
  happened_on date not null,
  note text not null default ''
);
create index hair_event_wearer on hair_event (wearer_id, happened_on);

-- Zones an event touched; none means the whole head.
create table hair_event_zone (
  event_id uuid not null references hair_event on delete cascade,
  zone_id uuid not null references zone,
  primary key (event_id, zone_id)
);
create index hair_event_zone_zone on hair_event_zone (zone_id);
