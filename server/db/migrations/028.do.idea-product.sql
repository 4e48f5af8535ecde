-- An idea may name the product that is to be tried instead.
alter table idea add column product_id uuid references product on delete set null,
  add check (product_id is null or idea = 'other-product');
create index idea_product on idea (product_id);
