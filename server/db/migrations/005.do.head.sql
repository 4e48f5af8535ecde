-- The head grown up: damage, cut, parting, measured curls, drying, wishes, and appointments ahead.

create domain damage_key as text check (value in ('none', 'slight', 'marked', 'severe'));
create domain cut_key as text check (value in ('one-length', 'layered', 'rounded', 'tapered', 'undercut', 'short'));
create domain parting_key as text check (value in ('left', 'middle', 'right', 'none'));
create domain school_key as text check (value in ('free', 'wash-off', 'lather', 'scalp', 'label'));
create domain dislike_key as text check (value in ('scent', 'crunch', 'tack', 'greasy', 'flakes', 'drip'));
create domain avoided_key as text check (value in ('allergy', 'banned'));
create domain wish_key as text check (value in (
  'definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'length'
));

alter table wearer add column damage damage_key, add column cut cut_key, add column parting parting_key;
alter table zone add column damage damage_key;

alter domain measure_kind_key drop constraint measure_kind_key_check;
alter domain measure_kind_key add constraint measure_kind_key_check
  check (value in ('strand', 'ponytail', 'stretch', 'shed', 'curl'));

-- When the hair was judged so far dry, on the way to fully dry.
alter table wash_day add column dry80_at timestamptz, add column dry90_at timestamptz,
  add check (dry80_at is null or washed_at is null or dry80_at >= washed_at),
  add check (dry90_at is null or dry80_at is null or dry90_at >= dry80_at),
  add check (dry_at is null or dry90_at is null or dry_at >= dry90_at),
  add check (dry_at is null or dry80_at is null or dry_at >= dry80_at);

-- What a wearer wants of a wash day: the line and the days a style must last, money, school, and no more than once each.
create table wearer_wish (
  wearer_id uuid primary key references wearer on delete cascade,
  line_value numeric(4, 2) check (line_value between 0 and 10),
  style_days int check (style_days between 1 and 60),
  budget numeric(10, 2) check (budget >= 0),
  currency char(3),
  school school_key,
  dislikes dislike_key[] not null default '{}',
  check (budget is null or currency is not null)
);
create table wearer_weight (
  wearer_id uuid not null references wearer on delete cascade,
  wish wish_key not null,
  weight numeric(5, 2) not null check (weight > 0),
  primary key (wearer_id, wish)
);
create table wearer_avoided (
  wearer_id uuid not null references wearer on delete cascade,
  ingredient text not null check (btrim(ingredient) <> ''),
  why avoided_key not null,
  primary key (wearer_id, ingredient)
);
