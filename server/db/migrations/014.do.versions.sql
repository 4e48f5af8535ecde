-- Which state of a record an edit began from: who saves on top of another's change is told, not obeyed.
create function next_version() returns trigger language plpgsql as $$
begin
  new.version := old.version + 1;
  return new;
end $$;
do $$ declare it text; begin
  foreach it in array array['line', 'product', 'wearer', 'wearer_wish', 'routine', 'trial', 'locality'] loop
    execute format('alter table %I add column version int not null default 1', it);
    execute format('create trigger %I before update on %I for each row execute function next_version()', it || '_version', it);
  end loop;
end $$;
