-- What the hair of a wash day is meant to be worn as and what is accepted for it; ideas that add a step or move one; half
-- hours between which a day is judged.
create domain style_meant_key as text check (value in (
  'wash-and-go', 'twist-out', 'braid-out', 'coils', 'rod-set', 'stretched', 'blown-out', 'up', 'kept-in'));
alter table wash_day add column style_meant style_meant_key,
  add column accepts text[] not null default '{}' check (accepts <@ array[
    'shrinkage', 'frizz', 'flat', 'undefined', 'cast', 'heavy', 'dry', 'slow', 'short']);
alter domain idea_key drop constraint idea_key_check;
alter domain idea_key add constraint idea_key_check check (value in (
  'less', 'more', 'wetter', 'drier', 'longer', 'shorter', 'hotter', 'cooler', 'leave-out', 'earlier', 'later', 'add-step',
  'other-product', 'other-place', 'other-style', 'other-role', 'other-order', 'after-clarify'));
alter table idea add column slot slot_key, add check ((idea = 'add-step') = (slot is not null));
alter table trial alter column judged_from type numeric, alter column judged_to type numeric;
