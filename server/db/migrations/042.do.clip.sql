-- A short clip of a wash day's hair in motion, with its sound.
create domain clip_kind_key as text check (value in ('turn', 'bounce', 'scrunch'));
create table clip (
  id uuid primary key,
  wash_day_id uuid not null references wash_day on delete cascade,
  stage stage_key not null,
  -- Of the wear, from 1; none before the finished hair.
  day int check (day between 1 and 60),
  kind clip_kind_key not null,
  taken_at timestamptz not null,
  type text not null check (type in ('video/webm', 'video/mp4')),
  seconds double precision not null check (seconds > 0 and seconds <= 8.5),
  size int not null check (size between 1 and 16777216),
  bytes bytea not null,
  check ((stage = 'wear') = (day is not null))
);
alter table clip alter column bytes set storage external;
create index clip_wash_day on clip (wash_day_id);
