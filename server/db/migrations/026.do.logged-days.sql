-- A wash day by itself, with nothing under test: kept as a trial of one day that lists of trials leave out.
alter table trial add column logged boolean not null default false;
alter table trial drop constraint trial_wash_days_check;
alter table trial add constraint trial_wash_days_check check (wash_days >= 2 or (logged and wash_days = 1));
create index trial_logged on trial (wearer_id) where logged;
