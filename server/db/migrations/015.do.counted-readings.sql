-- How many readings came with a batch: counting 87,000 of them at every look would take longer than all else.
alter table weather_batch add column readings int not null default 0 check (readings >= 0);
create function fill_batches() returns void language sql as $$
  update weather_batch b set readings = (select count(*) from weather_reading r where r.batch_id = b.id)
$$;
select fill_batches();
create index weather_reading_of_station on weather_reading (locality_id) where batch_id is null;
