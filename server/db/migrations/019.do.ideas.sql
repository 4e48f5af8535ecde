-- More that can come to mind for next time: heat, a step left out, another product, place or style.
alter domain idea_key drop constraint idea_key_check;
alter domain idea_key add constraint idea_key_check check (value in (
  'less', 'more', 'wetter', 'drier', 'longer', 'shorter', 'hotter', 'cooler', 'leave-out', 'other-product',
  'other-place', 'other-style', 'other-role', 'other-order', 'after-clarify'));
