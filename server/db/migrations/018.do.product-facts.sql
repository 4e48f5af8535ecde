-- What a label and a receipt say of a product: claims, heat limit, dated prices, applications, edition with its list,
-- collection, packaging. What stays open on a head.
-- A domain cannot change while a column holds a list of it.
alter table product alter column roles type text[];
alter domain role_key drop constraint role_key_check;
alter domain role_key add constraint role_key_check check (value in (
  'pre-wash', 'shampoo', 'co-wash', 'clarifier', 'scalp-care', 'treatment', 'conditioner', 'mask', 'leave-in', 'oil',
  'cream', 'foam', 'gel', 'spray', 'edge'));
alter table product alter column roles type role_key[] using roles::role_key[];
alter table trial alter column asked drop default, alter column asked type text[], alter column asked set default '{}';
create domain packaging_key as text check (value in (
  'bottle', 'pump', 'tube', 'jar', 'spray', 'foamer', 'dropper', 'sachet', 'bar', 'can'));
alter table product
  add column heat_limit_c int check (heat_limit_c between 40 and 260),
  add column applications int check (applications between 1 and 500),
  add column edition text not null default '',
  add column collection text not null default '',
  add column packaging packaging_key,
  add column claims text[] not null default '{}' check (cardinality(claims) <= 20);
create domain price_kind_key as text check (value in ('full', 'offer', 'n-for-m', 'code'));
create table product_price (
  product_id uuid not null references product on delete cascade,
  on_date date not null,
  kind price_kind_key not null,
  amount numeric(10, 2) not null check (amount > 0),
  currency char(3) not null,
  primary key (product_id, on_date, kind)
);
create table product_edition (
  product_id uuid not null references product on delete cascade,
  edition text not null,
  ingredients text not null,
  until_date date not null,
  primary key (product_id, edition)
);

create domain problem_state_key as text check (value in ('open', 'better', 'solved'));
create table head_problem (
  id uuid primary key,
  wearer_id uuid not null references wearer on delete cascade,
  what text not null check (btrim(what) <> ''),
  places place_key[] not null default '{}',
  tried text not null default '',
  helped text not null default '',
  since_date date not null,
  state problem_state_key not null default 'open',
  solved_on date,
  check ((state = 'solved') = (solved_on is not null))
);
create index on head_problem (wearer_id);
