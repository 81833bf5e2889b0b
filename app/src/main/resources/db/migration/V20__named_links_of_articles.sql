-- What lies elsewhere and belongs to an article; its type says which links it usually has, one a line.
create table article_link (
  article_id bigint not null references article,
  name       text not null,
  address    text not null,
  constraint article_link_key primary key (article_id, name)
);
alter table article_type add column link_names text not null default '';
