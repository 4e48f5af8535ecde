-- Raters and wearers are let in too; a wearer belongs to a head. Like all of who is let in it refers to nothing that a backup holds.
alter domain person_role_key drop constraint person_role_key_check;
alter domain person_role_key add constraint person_role_key_check check (value in ('tester', 'helper', 'rater', 'wearer'));
alter table person add column wearer_id uuid;
alter table person add constraint person_wears check ((role = 'wearer') = (wearer_id is not null));

-- What a wearer said to pictures of their head. Each answer stays; the latest counts.
create domain consent_key as text check (value in ('pictures', 'publishing'));
create table wearer_consent (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  about consent_key not null,
  yes boolean not null,
  said_by text not null check (length(said_by) between 1 and 120),
  said_at timestamptz not null default now()
);
create index wearer_consent_latest on wearer_consent (wearer_id, about, said_at);

-- What a device that was struck out was known by: it is told so, and clears what it keeps.
create table struck_out (
  token_hash bytea primary key,
  at timestamptz not null default now()
);
