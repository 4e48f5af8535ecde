-- A frame of the camera's film, not a picture it took: single strands are not counted in it.
alter table photograph add column film boolean not null default false;
