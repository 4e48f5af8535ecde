-- Where the parting runs in a picture of both halves of a head, above and below, as shares of the upright picture.
alter table photograph_measured add column parting jsonb;

-- What is read of one half, where the picture was split there.
alter table photograph_reading
  add column half text not null default 'both' check (half in ('both', 'left', 'right')),
  drop constraint photograph_reading_pkey,
  add primary key (photograph_id, measure, half);
