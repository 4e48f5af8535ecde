-- A guardian's second yes: that pictures of an under-age wearer may stand in what is published. Each answer stays on record.
create table publish_consent (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  guardian text not null check (length(guardian) between 1 and 120),
  yes boolean not null,
  said_at timestamptz not null default now()
);
create index publish_consent_wearer on publish_consent (wearer_id, said_at);
