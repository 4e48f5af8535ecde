-- Screening: names the tester has classified, rules switched off or weighed for a wearer, and what a scalp and tap add.

create domain scalp_key as text check (value in ('sensitive', 'flakes', 'oily'));

alter table wearer add column hard_water boolean not null default false,
  add column scalp scalp_key[] not null default '{}';

-- A name the dictionary does not know, classified once for all products: as another ingredient, or by group alone.
create table own_ingredient (
  name text primary key check (btrim(name) <> '' and name = lower(btrim(name))),
  like_name text,
  group_key text,
  created_at timestamptz not null default now(),
  check ((like_name is null) <> (group_key is null))
);

-- The tester's own weight of a rule for a wearer: 0 switches it off, 1 is the rule's own and leaves no row.
create table rule_weight (
  wearer_id uuid not null references wearer on delete cascade,
  rule_id text not null,
  weight numeric(3, 2) not null check (weight between 0 and 3),
  changed_at timestamptz not null default now(),
  primary key (wearer_id, rule_id)
);
