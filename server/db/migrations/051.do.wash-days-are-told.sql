-- Whatever changes the pulse of a wash day is told to every server on this database at once.
create function tell_wash_day() returns trigger language plpgsql as $$
declare
  one jsonb := case when tg_op = 'DELETE' then to_jsonb(old) else to_jsonb(new) end;
  day text := case tg_argv[0] when 'itself' then one ->> 'id'
    when 'photograph' then (select p.wash_day_id::text from photograph p where p.id = (one ->> 'photograph_id')::uuid)
    else one ->> 'wash_day_id' end;
begin
  -- A backup that is read in tells of thousands; who waits asks again by itself.
  if current_setting('sabor.unrecorded', true) is distinct from 'on' and day is not null then
    perform pg_notify('sabor_wash_day', day);
  end if;
  return null;
end $$;
create trigger told after insert or update on wash_day for each row execute function tell_wash_day('itself');
create trigger told after insert on wash_tap for each row execute function tell_wash_day('of day');
create trigger told after insert or update or delete on photograph for each row execute function tell_wash_day('of day');
create trigger told after insert or update or delete on photograph_measured for each row execute function tell_wash_day('photograph');
create trigger told after insert or update or delete on day_outdoors for each row execute function tell_wash_day('of day');

create function tell_wash_days_of_trial() returns trigger language plpgsql as $$
begin
  if current_setting('sabor.unrecorded', true) is distinct from 'on' then
    perform pg_notify('sabor_wash_day', d.id::text) from wash_day d where d.trial_id = new.id;
  end if;
  return null;
end $$;
create trigger told after update on trial for each row execute function tell_wash_days_of_trial();
