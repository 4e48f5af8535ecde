-- A wash day that was prepared for a device, to be begun where there is no network: what stands in its sealed envelope, and what
-- became of that. It belongs to this database and its devices, and goes into no backup.
create table envelope (
  wash_day_id uuid primary key,
  trial_id uuid not null,
  position int not null,
  arm_id uuid not null,
  right_arm_id uuid,
  steps jsonb not null,
  person text,
  device text,
  made_at timestamptz not null default now(),
  -- When the wash day began that was in it; when it was taken back unopened.
  opened_at timestamptz,
  taken_back_at timestamptz,
  check (num_nonnulls(opened_at, taken_back_at) < 2)
);
create unique index envelope_out on envelope (trial_id) where opened_at is null and taken_back_at is null;
