-- What is changed of a trial once its first wash day began goes on record: what it was and what it became, and by whom
-- where somebody was signed in. A backup that is read in changes nothing.
create function put_on_record() returns trigger language plpgsql as $$
declare
  whose text := tg_argv[0];
  -- Only what had been told before and is told otherwise, or is gone.
  told_only boolean := tg_argv[1] = 'told';
  was jsonb := case when tg_op = 'INSERT' then '{}' else to_jsonb(old) end;
  becomes jsonb := case when tg_op = 'DELETE' then '{}' else to_jsonb(new) end;
  one jsonb := case when tg_op = 'DELETE' then was else becomes end;
  trial uuid;
begin
  if current_setting('sabor.unrecorded', true) = 'on' then return null; end if;
  if tg_op = 'UPDATE' then
    select coalesce(jsonb_object_agg(key, value), '{}') into was from jsonb_each(was)
      where becomes -> key is distinct from value and not (told_only and value = 'null');
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

create trigger on_record after update on trial for each row execute function put_on_record('trial');
create trigger on_record after insert or update or delete on amendment for each row execute function put_on_record('of trial');
create trigger on_record after insert or update or delete on overrule for each row execute function put_on_record('of trial');
create trigger on_record after insert or update or delete on retest for each row execute function put_on_record('of trial');
create trigger on_record after update on wash_day for each row execute function put_on_record('of trial', 'told');
create trigger on_record after update or delete on check_in for each row execute function put_on_record('wash day', 'told');
create trigger on_record after update or delete on event for each row execute function put_on_record('wash day', 'told');
create trigger on_record after update or delete on reading for each row execute function put_on_record('check-in', 'told');

-- Of a picture or a film its bytes are not put on record, only that it came or went.
create function put_picture_on_record() returns trigger language plpgsql as $$
declare
  one record;
  trial uuid;
begin
  if current_setting('sabor.unrecorded', true) = 'on' then return null; end if;
  if tg_op = 'DELETE' then one := old; else one := new; end if;
  select d.trial_id into trial from wash_day d where d.id = one.wash_day_id;
  if trial is null then return null; end if;
  insert into change_log (person, device, act, trial_id, before, after)
  values (nullif(current_setting('sabor.person', true), ''), nullif(current_setting('sabor.device', true), ''),
    tg_table_name || case tg_op when 'INSERT' then ' added' else ' taken away' end, trial,
    case when tg_op = 'DELETE' then jsonb_build_object('id', one.id, 'taken_at', one.taken_at) end,
    case when tg_op = 'INSERT' then jsonb_build_object('id', one.id, 'taken_at', one.taken_at) end);
  return null;
end $$;

create trigger on_record after insert or delete on photograph for each row execute function put_picture_on_record();
create trigger on_record after insert or delete on clip for each row execute function put_picture_on_record();
