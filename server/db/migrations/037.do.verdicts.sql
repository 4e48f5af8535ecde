-- What a tester says of a product, a line or a way of doing, in a step, on a head: each time it is said anew, the earlier stays.
create table verdict (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  slot text not null check (length(slot) between 1 and 40),
  product_id uuid references product on delete cascade,
  line_id uuid references line on delete cascade,
  way text check (length(way) between 1 and 120),
  created_at timestamptz not null default now(),
  archived_at timestamptz,
  version int not null default 1,
  check (num_nonnulls(product_id, line_id, way) = 1)
);
create trigger verdict_version before update on verdict for each row execute function next_version();
create unique index verdict_of_product on verdict (wearer_id, slot, product_id) where product_id is not null;
create unique index verdict_of_line on verdict (wearer_id, slot, line_id) where line_id is not null;
create unique index verdict_of_way on verdict (wearer_id, slot, lower(way)) where way is not null;
create index verdict_product on verdict (product_id);
create index verdict_line on verdict (line_id);

create table verdict_said (
  id uuid primary key,
  verdict_id uuid not null references verdict on delete cascade,
  said_at timestamptz not null default now(),
  cause text not null check (cause in ('first', 'more-trials', 'seen-longer', 'dose-error', 'formula-changed', 'other')),
  cause_note text not null default '' check (length(cause_note) <= 400),
  content jsonb not null check (jsonb_typeof(content) = 'object'),
  -- What stood behind it when it was said: trials, figures, stake.
  rests jsonb not null check (jsonb_typeof(rests) = 'object'),
  -- Where it says more than that: the sentences that stand beside it.
  beside jsonb not null check (jsonb_typeof(beside) = 'array')
);
create index verdict_said_verdict on verdict_said (verdict_id, said_at);

-- What others say of a product. It enters no figure.
create table hearsay (
  id uuid primary key,
  product_id uuid not null references product on delete cascade,
  who text not null check (length(who) between 1 and 120),
  said text not null check (length(said) between 1 and 1000),
  heard_on date not null,
  edition text not null default '' check (length(edition) <= 80)
);
create index hearsay_product on hearsay (product_id);
