-- What was read in a photograph, and under what it was taken, as its card told it.
create domain photo_measure_key as text check (value in (
  'halo', 'silhouette', 'strays', 'clump-contrast', 'coherence', 'clump-width', 'curl-radius', 'curl-index'
));

create table photograph_measured (
  photograph_id uuid primary key references photograph on delete cascade,
  measured_at timestamptz not null,
  -- What the printed rule of 100 mm really measures.
  rule_mm double precision not null check (rule_mm between 50 and 150),
  -- Polygons of what is no hair, as shares of the upright picture.
  left_out jsonb not null default '[]',
  -- Corners of the card, from its top left round, as shares of the upright picture.
  card jsonb,
  px_per_mm double precision check (px_per_mm > 0),
  edge_mm double precision check (edge_mm > 0),
  tilt double precision check (tilt between 0 and 90),
  exposure double precision,
  kelvin double precision,
  clipped boolean,
  thinnest_mm double precision check (thinnest_mm > 0),
  -- Width of the hair in each band of 5 mm from its top down, mm.
  widths double precision[] not null default '{}' check (cardinality(widths) <= 120),
  notes text[] not null default '{}',
  check (num_nonnulls(card, px_per_mm, tilt, exposure, kelvin, clipped) in (0, 6))
);

create table photograph_reading (
  photograph_id uuid not null references photograph_measured on delete cascade,
  measure photo_measure_key not null,
  value double precision,
  -- Why there is no value.
  why text,
  primary key (photograph_id, measure),
  check (num_nonnulls(value, why) = 1)
);
