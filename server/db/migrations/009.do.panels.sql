-- A panel: the same trial on several heads, each with a row of one Williams square. Its trials share an id and a seed.
alter table trial add column panel_id uuid, add column panel_row int check (panel_row >= 0),
  add check ((panel_id is null) = (panel_row is null)), add unique (panel_id, panel_row);
