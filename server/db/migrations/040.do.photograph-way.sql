-- How hair was told from the wall: by how much light it takes, or by its colour.
alter table photograph_measured
  add column way text not null default 'silhouette' check (way in ('silhouette', 'colour'));
