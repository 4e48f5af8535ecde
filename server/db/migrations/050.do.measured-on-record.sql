-- What was read in a photograph of a trial and is read anew, or taken away with it, is on record as it was.
create function put_measured_on_record() returns trigger language plpgsql as $$
declare
  trial uuid;
  was jsonb;
begin
  if current_setting('sabor.unrecorded', true) = 'on' then return old; end if;
  select d.trial_id into trial from photograph p join wash_day d on d.id = p.wash_day_id where p.id = old.photograph_id;
  select jsonb_object_agg(r.measure || case when r.half = 'both' then '' else ', ' || r.half end, coalesce(to_jsonb(r.value), to_jsonb(r.why)))
    into was from photograph_reading r where r.photograph_id = old.photograph_id;
  if trial is null or was is null then return old; end if;
  insert into change_log (person, device, act, trial_id, before)
  values (nullif(current_setting('sabor.person', true), ''), nullif(current_setting('sabor.device', true), ''),
    'photograph measured anew', trial, was || jsonb_build_object('id', old.photograph_id, 'measured_at', old.measured_at));
  return old;
end $$;
create trigger on_record before delete on photograph_measured for each row execute function put_measured_on_record();
