-- Of a trial also what had been nothing is on record as changed: that it ended, that its key was opened. Of a wash day an empty
-- text had told nothing: a first note changes nothing.
create or replace function put_on_record() returns trigger language plpgsql as $$
declare
  whose text := tg_argv[0];
  -- Only what had been told before and is told otherwise, or is gone.
  told_only boolean := coalesce(tg_argv[1] = 'told', false);
  was jsonb := case when tg_op = 'INSERT' then '{}' else to_jsonb(old) end;
  becomes jsonb := case when tg_op = 'DELETE' then '{}' else to_jsonb(new) end;
  one jsonb := case when tg_op = 'DELETE' then was else becomes end;
  trial uuid;
begin
  if current_setting('sabor.unrecorded', true) = 'on' then return null; end if;
  if tg_op = 'UPDATE' then
    select coalesce(jsonb_object_agg(key, value), '{}') into was from jsonb_each(was)
      where becomes -> key is distinct from value and not (told_only and value in ('null', '""', '[]'));
    select coalesce(jsonb_object_agg(key, value), '{}') into becomes from jsonb_each(becomes) where was ? key;
    if was = '{}' then return null; end if;
  end if;
  trial := case whose
    when 'trial' then (one ->> 'id')::uuid
    when 'wash day' then (select d.trial_id from wash_day d where d.id = (one ->> 'wash_day_id')::uuid)
    when 'check-in' then (select d.trial_id from check_in c join wash_day d on d.id = c.wash_day_id
      where c.id = (one ->> 'check_in_id')::uuid)
    else (one ->> 'trial_id')::uuid end;
  if trial is null or not exists (select from wash_day d where d.trial_id = trial) then return null; end if;
  insert into change_log (person, device, act, trial_id, before, after)
  values (nullif(current_setting('sabor.person', true), ''), nullif(current_setting('sabor.device', true), ''),
    replace(tg_table_name, '_', ' ') || case tg_op when 'INSERT' then ' added' when 'DELETE' then ' taken away' else ' changed' end,
    trial, case when tg_op <> 'INSERT' then was || jsonb_build_object('id', one -> 'id') end,
    case when tg_op <> 'DELETE' then becomes || jsonb_build_object('id', one -> 'id') end);
  return null;
end $$;
