-- Who is let in from other devices. None of this goes into a backup, and none of it refers to what does.
create domain person_role_key as text check (value in ('tester', 'helper'));

create table access (
  id boolean primary key default true check (id),
  open boolean not null default false,
  passphrase text
);
insert into access default values;

create table person (
  id uuid primary key,
  name text not null,
  role person_role_key not null,
  made_at timestamptz not null default now()
);

create table device (
  id uuid primary key,
  person_id uuid not null references person on delete cascade,
  name text not null,
  let_in_at timestamptz not null default now(),
  seen_at timestamptz
);
create index on device (person_id);

create table invitation (
  code_hash bytea primary key,
  person_id uuid not null references person on delete cascade,
  expires_at timestamptz not null
);
create index on invitation (person_id);

create table session (
  id uuid primary key,
  device_id uuid not null references device on delete cascade,
  token_hash bytea not null unique,
  -- The token before the last rotation, for requests that were on their way.
  former_hash bytea unique,
  former_until timestamptz,
  begun_at timestamptz not null default now(),
  rotated_at timestamptz not null default now(),
  ends_at timestamptz not null
);
create index on session (device_id);

create table sign_in_try (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  address text not null
);
create index on sign_in_try (at);

-- What was changed, by whom and from where: rows are added and never changed.
create table change_log (
  id bigint generated always as identity primary key,
  at timestamptz not null default clock_timestamp(),
  person text,
  device text,
  act text not null,
  path text,
  trial_id uuid,
  before jsonb,
  after jsonb
);
create index on change_log (trial_id);

create function only_added() returns trigger language plpgsql as $$
begin
  raise exception 'What is on record stays on record.';
end $$;
create trigger only_added before update or delete or truncate on change_log
  for each statement execute function only_added();
