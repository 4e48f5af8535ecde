-- Shampoo and co-wash each with days of their own, in turn if so wished.
alter domain care_key drop constraint care_key_check;
alter domain care_key add constraint care_key_check check (value in (
  'wash', 'shampoo', 'co-wash', 'clarify', 'deep-condition', 'protein-light', 'protein-intense', 'trim'));
alter table care_cadence add column alternates boolean not null default false;
