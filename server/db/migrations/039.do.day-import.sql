-- Wash days read from a tester's own spreadsheet: with which file they came, so that they can be taken back together, and how
-- its columns were read, so that the next such file is read the same way.
create table day_import (
  id uuid primary key,
  file_name text not null check (length(file_name) between 1 and 255),
  headings text[] not null,
  reading jsonb not null check (jsonb_typeof(reading) = 'object'),
  at timestamptz not null default now(),
  taken_back_at timestamptz
);
alter table trial add column day_import_id uuid references day_import;
create index trial_day_import on trial (day_import_id) where day_import_id is not null;
