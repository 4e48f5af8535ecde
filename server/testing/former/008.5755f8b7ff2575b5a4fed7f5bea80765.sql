-- Trials that hold: designs, halves, arms that differ in any setting, blinding, looks, amendments, fairness on record.

create domain design_key as text check (value in (
  'complete', 'blocks', 'walk', 'half', 'half-three', 'factorial', 'refresh', 'halves-same', 'repeat-same',
  'dose-run-in', 'before-after'
));
alter table trial alter column design drop default;
update trial set design = 'complete';
alter table trial alter column design type design_key, alter column design set default 'complete',
  -- Day of wear on which the outcomes are compared; 1 is the reveal.
  add column on_day int not null default 1 check (on_day between 1 and 14),
  add column looks int not null default 1 check (looks in (1, 2)),
  add column blind boolean not null default false,
  -- Days from wash to wash, the same for every arm.
  add column cadence_days int check (cadence_days between 1 and 30),
  -- Allergies on the wearer's file that were seen and accepted: product and ingredient.
  add column acknowledged text[] not null default '{}',
  -- The promised first look of two, once taken; the key of a blind trial, once opened; outcomes, once shown.
  add column looked_at timestamptz,
  add column key_opened_at timestamptz,
  add column outcomes_shown_at timestamptz;

-- Settings beyond the common ones, by the names core gives them.
alter table step add column extra jsonb not null default '{}' check (jsonb_typeof(extra) = 'object'),
  add column optional boolean not null default false,
  add column tolerance numeric(4, 3) not null default 0.2 check (tolerance > 0 and tolerance <= 1);
alter table wash_step add column extra jsonb not null default '{}' check (jsonb_typeof(extra) = 'object'),
  add column half text check (half in ('left', 'right'));

-- While blind an arm goes by its code. An arm may leave a tested step out, or set it otherwise.
alter table arm add column code int check (code between 100 and 999), add unique (trial_id, code);
alter table arm_step add column skipped boolean not null default false,
  add column settings jsonb not null default '{}' check (jsonb_typeof(settings) = 'object');

alter table wash_day add column right_arm_id uuid references arm,
  add column dose_felt text check (dose_felt in ('little', 'right', 'much'));
create index wash_day_right_arm on wash_day (right_arm_id);

-- Which arm a rater took it for, once the day's ratings are locked.
create table blind_guess (
  wash_day_id uuid not null references wash_day on delete cascade,
  half text check (half in ('left', 'right')),
  arm_id uuid references arm,
  at timestamptz not null default now(),
  unique nulls not distinct (wash_day_id, half)
);
create index blind_guess_arm on blind_guess (arm_id);

-- What was changed about a promise after it was locked.
create table amendment (
  id uuid primary key,
  trial_id uuid not null references trial on delete cascade,
  at timestamptz not null default now(),
  wash_days_done int not null check (wash_days_done >= 0),
  field text not null,
  was text not null,
  becomes text not null,
  reason text not null check (btrim(reason) <> '')
);
create index amendment_trial on amendment (trial_id);

-- A difference the tester judges otherwise than the rules do, on record and before the outcomes are shown.
create table overrule (
  id uuid primary key,
  trial_id uuid not null references trial on delete cascade,
  wash_day_id uuid references wash_day on delete cascade,
  difference text not null,
  gravity text not null check (gravity in ('breaks', 'weakens', 'note')),
  reason text not null check (btrim(reason) <> ''),
  at timestamptz not null default now(),
  unique nulls not distinct (trial_id, wash_day_id, difference)
);
create index overrule_wash_day on overrule (wash_day_id);

-- A spot refresh marks its zones: later readings there no longer test the wash-day product.
create table event_zone (
  event_id uuid not null references event on delete cascade,
  zone_id uuid not null references zone,
  primary key (event_id, zone_id)
);
create index event_zone_zone on event_zone (zone_id);

-- Who rated, where it was not the tester.
alter table check_in add column rater text not null default '' check (char_length(rater) <= 80);

alter table wash_step add column planned jsonb;
-- What was planned for a step of one wash day, kept with it: an amendment of the plan changes later days only.
create function planned_settings(of_step uuid, of_arm uuid) returns jsonb language sql stable as $$
  select jsonb_build_object('productId', coalesce(x.product_id, p.product_id),
      'dose', coalesce(dose_json(x.dose_kind, x.dose_low, x.dose_high, x.dose_measure, x.dose_per),
        dose_json(p.dose_kind, p.dose_low, p.dose_high, p.dose_measure, p.dose_per)),
      'sections', p.sections, 'wetness', p.wetness, 'minutes', p.minutes, 'technique', p.technique, 'tool', p.tool,
      'heat', p.heat, 'part', p.part, 'optional', p.optional, 'tolerance', p.tolerance,
      'skipped', coalesce(x.skipped, false))
    || (coalesce(x.settings, '{}') - 'extra')
    || jsonb_build_object('extra', p.extra || coalesce(x.settings->'extra', '{}'))
  from step p left join arm_step x on x.step_id = p.id and x.arm_id = of_arm
  where p.id = of_step
$$;
create function fill_planned() returns void language sql as $$
  update wash_step s set planned = planned_settings(s.plan_step_id,
    case when s.half = 'right' then d.right_arm_id else d.arm_id end)
  from wash_day d where d.id = s.wash_day_id and s.plan_step_id is not null and s.planned is null
$$;
select fill_planned();
