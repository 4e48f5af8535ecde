-- A device's clock may be wrong: by how much it was ahead of the server's when the tap came, ms; its moments were set right.
alter table wash_tap add column clock_ahead_ms int not null default 0;
-- What is asked at every tap: whether a later one about the same has been heard.
create index on wash_tap (wash_day_id, kind, at);
