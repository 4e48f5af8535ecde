-- Where on the head hair was photographed from near.
alter table photograph add column zone_id uuid references zone,
  add constraint photograph_zone_from_near check (zone_id is null or angle = 'close-up');
create index photograph_zone on photograph (zone_id) where zone_id is not null;

alter table photograph_measured
  -- The width of a curl directions were gathered by, mm: the same for all pictures of a head and zone.
  add column curl_width_mm double precision check (curl_width_mm between 1 and 100),
  -- Where tagged curls turn back, each as places from the top down, as shares of the upright picture.
  add column curls jsonb not null default '[]';
