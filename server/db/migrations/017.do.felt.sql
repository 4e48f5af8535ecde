-- Readings in five words at every step and check-in; check-ins before the wash and several a day; what is done to hair
-- on a day worn, with product, amount and tool; sides that were spoiled; why a step was skipped.
create domain felt_key as text check (value in (
  'slip', 'lather', 'thickness', 'spread', 'scent', 'liking', 'dispenser', 'tack', 'drip', 'clean', 'colour', 'sound',
  'white-film', 'clumps', 'cast', 'crunch', 'flakes', 'grease', 'bounce', 'moisture', 'feel', 'strength', 'tangles',
  'frizzed', 'build-up'));
alter table in_hand_reading alter column quality type felt_key using quality::text;
drop domain in_hand_key;

alter domain stage_key drop constraint stage_key_check;
alter domain stage_key add constraint stage_key_check check (value in ('before', 'wet', 'cast', 'wear'));
create domain part_of_day_key as text check (value in ('first', 'evening', 'before-refresh', 'after-refresh'));
alter table check_in add column part part_of_day_key not null default 'first',
  drop constraint check_in_wash_day_id_stage_day_key,
  add constraint check_in_once unique nulls not distinct (wash_day_id, stage, day, part),
  add check (part = 'first' or stage = 'wear');
create table felt_reading (
  check_in_id uuid not null references check_in on delete cascade,
  quality felt_key not null,
  zone_id uuid references zone,
  value int not null check (value between 0 and 4),
  unique nulls not distinct (check_in_id, quality, zone_id)
);
create index on felt_reading (zone_id);

alter domain event_kind_key drop constraint event_kind_key_check;
alter domain event_kind_key add constraint event_kind_key_check check (value in (
  'nothing-needed', 'left-alone', 'separated', 'edges', 'restyled', 'spot-refresh', 'refreshed', 'rewet', 'wind',
  'covered', 'hat', 'ponytail', 'touched', 'workout', 'sweat', 'rain', 'swim', 'disliked', 'bonnet', 'scarf',
  'pillowcase', 'bonnet-missed'));
create domain event_as_key as text check (value in (
  'up', 'tail', 'pinned', 'stretched', 'part-out', 'medium', 'full', 'hood', 'helmet', 'leant'));
create domain event_came_key as text check (value in ('held', 'suffered', 'off'));
alter table event
  add column how event_as_key,
  add column product_id uuid references product,
  add column dose jsonb check (dose is null or dose_sound(dose)),
  add column tool tool_key,
  add column spoiled_at timestamptz,
  add column announced boolean not null default false,
  add column came event_came_key;
create index on event (product_id);

alter domain wear_end_key drop constraint wear_end_key_check;
alter domain wear_end_key add constraint wear_end_key_check check (value in (
  'washed-looks', 'washed-itch', 'restyled-looks', 'washed-schedule', 'washed-sweat', 'washed-swim', 'washed-other',
  'restyled-occasion', 'restyled-other'));

create domain came_from_key as text check (value in (
  'loose', 'bun', 'tail', 'twists', 'braids', 'cornrows', 'locs', 'straightened', 'wig'));
create domain fastened_key as text check (value in ('not', 'clips', 'scrunchie', 'elastic', 'pins', 'thread', 'glue'));
alter table wash_day
  add column came_from came_from_key,
  add column fastened fastened_key,
  add column style_days int check (style_days between 0 and 365);

create domain skip_reason_key as text check (value in (
  'not-needed', 'too-light', 'too-heavy', 'on-purpose', 'label', 'ran-out', 'no-time', 'forgotten'));
alter table wash_step add column skip_reason skip_reason_key;

alter domain mark_key drop constraint mark_key_check;
alter domain mark_key add constraint mark_key_check check (value in (
  'more', 'wiped-off', 'longer', 'shorter', 'interrupted', 'ran-out', 'dried-rewet', 'early', 'spot-dried', 'too-much',
  'too-little', 'little-enough', 'disliked'));
alter table step_mark add column places place_key[] not null default '{}';

-- What is asked for at check-ins of this trial, and the hours of the day within which the promised day is read.
alter table trial
  add column asked felt_key[] not null default '{}',
  add column judged_from int check (judged_from between 0 and 23),
  add column judged_to int check (judged_to between 1 and 24),
  add check ((judged_from is null) = (judged_to is null)),
  add check (judged_to > judged_from);

alter domain wetness_key drop constraint wetness_key_check;
alter domain wetness_key add constraint wetness_key_check check (value in ('soaking', 'wet', 'moist', 'damp', 'barely', 'dry'));
alter domain technique_key drop constraint technique_key_check;
alter domain technique_key add constraint technique_key_check check (value in (
  'rake', 'praying', 'scrunch', 'brush-styling', 'finger-coils', 'shingling', 'single-strand', 'two-strand',
  'three-strand', 'flat-twists', 'braids', 'cornrows', 'rods', 'smooth', 'massage'));
alter domain tool_key drop constraint tool_key_check;
alter domain tool_key add constraint tool_key_check check (value in (
  'fingers', 'wide-comb', 'brush', 'towel', 'shirt', 'diffuser', 'hood', 'nozzle', 'comb-nozzle', 'brush-dryer',
  'flat-iron', 'clips', 'cap', 'bonnet', 'scarf', 'pillowcase', 'pick'));
