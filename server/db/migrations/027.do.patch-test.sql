-- A product tried on the inner arm before it comes on a head: when it went on, and how the skin looked.
create table patch_test (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  product_id uuid not null references product on delete cascade,
  started_at timestamptz not null,
  outcome text check (outcome in ('clear', 'reacted')),
  looked_at timestamptz check (looked_at >= started_at),
  note text not null default '' check (length(note) <= 2000),
  check ((outcome is null) = (looked_at is null))
);
create index patch_test_wearer on patch_test (wearer_id, product_id);
create index patch_test_product on patch_test (product_id);
