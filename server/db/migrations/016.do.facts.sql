-- A dose is one value wherever it stands, as it is on the wire.
create function dose_sound(dose jsonb) returns boolean language sql immutable as $$
  select coalesce(case dose->>'kind'
    when 'unknown' then true
    when 'exact' then (dose->>'amount')::numeric > 0 and (dose->>'measure')::measure_key is not null
      and dose->>'per' in ('head', 'section')
    when 'range' then (dose->>'from')::numeric > 0 and (dose->>'to')::numeric >= (dose->>'from')::numeric
      and (dose->>'measure')::measure_key is not null and dose->>'per' in ('head', 'section')
    end, false)
$$;
alter table step add column dose jsonb check (dose is null or dose_sound(dose));
alter table arm_step add column dose jsonb check (dose is null or dose_sound(dose));
alter table wash_step add column dose jsonb check (dose is null or dose_sound(dose));
update step set dose = dose_json(dose_kind, trim_scale(dose_low), trim_scale(dose_high), dose_measure, dose_per)
  where dose_kind is not null;
update arm_step set dose = dose_json(dose_kind, trim_scale(dose_low), trim_scale(dose_high), dose_measure, dose_per)
  where dose_kind is not null;
update wash_step set dose = dose_json(dose_kind, trim_scale(dose_low), trim_scale(dose_high), dose_measure, dose_per)
  where dose_kind is not null;
alter table step drop column dose_kind, drop column dose_low, drop column dose_high, drop column dose_measure,
  drop column dose_per;
alter table arm_step drop column dose_kind, drop column dose_low, drop column dose_high, drop column dose_measure,
  drop column dose_per;
alter table wash_step drop column dose_kind, drop column dose_low, drop column dose_high, drop column dose_measure,
  drop column dose_per;

-- What was planned for a step, for wash days recorded before that was kept with them.
create or replace function planned_settings(of_step uuid, of_arm uuid, half text) returns jsonb language sql stable as $$
  select jsonb_build_object('productId', coalesce(x.product_id, p.product_id), 'dose', half_dose(coalesce(x.dose, p.dose), half),
      'sections', p.sections, 'wetness', p.wetness, 'minutes', p.minutes, 'technique', p.technique, 'tool', p.tool,
      'heat', p.heat, 'part', p.part, 'optional', p.optional, 'tolerance', p.tolerance,
      'skipped', coalesce(x.skipped, false))
    || (coalesce(x.settings, '{}') - 'extra')
    || jsonb_build_object('extra', p.extra || coalesce(x.settings->'extra', '{}'))
  from step p left join arm_step x on x.step_id = p.id and x.arm_id = of_arm
  where p.id = of_step
$$;

-- What a change of a promise changed, as facts: of the trial, or of the step in `slot`. Earlier ones of steps were kept in
-- words alone, and stay as they were told.
create function amended_slot(field text) returns text language sql immutable as $$
  select case field
    when 'pre-wash' then 'pre-wash'
    when 'detangle' then 'detangle'
    when 'cleanse' then 'cleanse'
    when 'half-dry' then 'half-dry'
    when 'treat' then 'treat'
    when 'condition' then 'condition'
    when 'rinse' then 'rinse'
    when 'leave-in' then 'leave-in'
    when 'oil, cream or custard' then 'emollient'
    when 'hold' then 'hold'
    when 'technique' then 'technique'
    when 'blot' then 'blot'
    when 'second coat' then 'second-coat'
    when 'wet check' then 'wet-check'
    when 'dry' then 'dry'
    when 'break the cast' then 'break-cast'
    when 'separate and fluff' then 'separate'
    when 'edges' then 'edges'
    when 'protect overnight' then 'protect'
    when 'refresh' then 'refresh'
    end
$$;
create function amended_outcome(label text) returns text language sql immutable as $$
  select case label
      when 'definition' then 'definition'
      when 'frizz' then 'frizz'
      when 'volume' then 'volume'
      when 'shine' then 'shine'
      when 'softness' then 'softness'
      when 'hold' then 'hold'
      when 'scalp comfort' then 'scalp'
      else label end
$$;
create function amended_facts(field text, was text, becomes text) returns jsonb language sql immutable as $$
  select jsonb_build_array(case
    when field = 'question' then jsonb_build_object('setting', field, 'was', was, 'becomes', becomes)
    when field = 'primary' then jsonb_build_object('setting', field, 'was', amended_outcome(was), 'becomes', amended_outcome(becomes))
    when field in ('onDay', 'line', 'matters', 'wearDays', 'cadenceDays') then
      jsonb_build_object('setting', field, 'was', nullif(was, 'none')::numeric, 'becomes', nullif(becomes, 'none')::numeric)
    else jsonb_build_object('setting', 'told', 'was', was, 'becomes', becomes) end)
$$;
alter table amendment add column slot slot_key,
  add column changes jsonb check (jsonb_typeof(changes) = 'array');
update amendment set slot = amended_slot(field), changes = amended_facts(field, was, becomes);
alter table amendment alter column changes set not null, drop column field, drop column was, drop column becomes;
