-- What devices were signed in by whose sign-in was ended here: one that is struck out afterwards is told so all the same.
create table ended_session (
  token_hash bytea primary key,
  device_id uuid not null references device on delete cascade,
  at timestamptz not null default now()
);
create index on ended_session (device_id);
