-- Photographs come in pieces that are rows until the picture is whole; then it is stored once, without what it said of
-- place and maker. `size` is what the phone announced, `bytes` what is kept.
alter table photograph alter column bytes drop default, alter column bytes drop not null;
alter table photograph drop constraint photograph_check;
update photograph set bytes = null where length(bytes) < size;
-- A picture is compressed already.
alter table photograph alter column bytes set storage external;
create table photograph_piece (
  photograph_id uuid not null references photograph on delete cascade,
  from_byte int not null check (from_byte >= 0),
  bytes bytea not null check (length(bytes) > 0),
  primary key (photograph_id, from_byte)
);
alter table photograph_piece alter column bytes set storage external;

-- Who this database is: a phone keeps what it could not send for this one alone.
insert into setting (key, value) values ('database', to_jsonb(gen_random_uuid())) on conflict do nothing;

-- No moment or number without end, whatever way it comes in.
do $$ declare it record; begin
  for it in select c.relname as "table", a.attname as "column", format_type(a.atttypid, a.atttypmod) as kind
    from pg_attribute a join pg_class c on c.oid = a.attrelid
    where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r' and c.relname <> 'schemaversion' and a.attnum > 0
    order by 1, 2 loop
    if it.kind in ('timestamp with time zone', 'date') then
      execute format('alter table %I add constraint %I check (%I between ''1900-01-01'' and ''2200-01-01'') not valid',
        it."table", it."table" || '_' || it."column" || '_in_time', it."column");
    elsif it.kind like 'numeric%' and it.kind not like '%[]' then
      execute format('alter table %I add constraint %I check (%I between -1e15 and 1e15) not valid',
        it."table", it."table" || '_' || it."column" || '_finite', it."column");
    end if;
  end loop;
end $$;
