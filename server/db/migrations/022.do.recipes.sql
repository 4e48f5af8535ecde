-- Home mixes kept as recipes; claims that stand on a line or one of its collections; pictures of bottle and label.
create table recipe (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  unit text not null default 'parts' check (unit in ('parts', 'ml')),
  parts jsonb not null check (jsonb_typeof(parts) = 'array'),
  note text not null default '',
  created_at timestamptz not null default now(),
  archived_at timestamptz,
  version int not null default 1
);
create trigger recipe_version before update on recipe for each row execute function next_version();
create table line_claim (
  line_id uuid not null references line on delete cascade,
  collection text not null default '',
  claim text not null check (length(claim) between 1 and 120),
  primary key (line_id, collection, claim)
);
create table product_picture (
  id uuid primary key,
  product_id uuid not null references product on delete cascade,
  shows text not null check (shows in ('bottle', 'label')),
  type text not null check (type in ('image/jpeg', 'image/png', 'image/webp')),
  size int not null check (size between 1 and 12000000),
  taken_at timestamptz not null default now(),
  bytes bytea
);
create index product_picture_product on product_picture (product_id);
