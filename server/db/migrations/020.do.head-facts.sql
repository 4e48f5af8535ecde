-- What a wearer dislikes in own words; a dry scalp; hair that transitions or whose pattern changes or is argued about; how
-- old a child is and who styles.
alter table wearer_wish add column own_dislikes text[] not null default '{}' check (cardinality(own_dislikes) <= 20);
alter table wearer alter column scalp drop default, alter column scalp type text[];
alter domain scalp_key drop constraint scalp_key_check;
alter domain scalp_key add constraint scalp_key_check check (value in ('sensitive', 'flakes', 'oily', 'dry'));
alter table wearer alter column scalp type scalp_key[] using scalp::scalp_key[], alter column scalp set default '{}',
  add column born_year int check (born_year between 1900 and 2100),
  add column styled_by text not null default '';
alter domain hair_event_key drop constraint hair_event_key_check;
alter domain hair_event_key add constraint hair_event_key_check check (value in (
  'colour', 'bleach', 'relaxer', 'heat', 'blow-out', 'trim', 'big-cut', 'braids-in', 'braids-out', 'protein-intense',
  'protein-light', 'bond', 'deep-condition', 'clarify', 'health', 'swim', 'transition', 'pattern-changed',
  'pattern-disputed', 'tight-style'));
