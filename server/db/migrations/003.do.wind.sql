-- Mean wind of a wash day, in m/s.
alter table wash_day add column wind_ms numeric(4, 1) check (wind_ms between 0 and 90);
