-- A photograph is kept as its camera wrote it; what it has to be turned by stands beside it.
alter table photograph add column orientation smallint not null default 1 check (orientation between 1 and 8);

-- What pages show of it: upright and small. Made anew when it is missing, so a backup leaves it out.
create table photograph_copy (
  photograph_id uuid primary key references photograph on delete cascade,
  bytes bytea not null
);
alter table photograph_copy alter column bytes set storage external;
