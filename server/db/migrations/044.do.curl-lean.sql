-- How far each tagged curl leans out of the picture's plane, degrees.
alter table photograph_measured add column leans double precision[] not null default '{}';
