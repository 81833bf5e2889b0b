-- What must be right before an article of a type is published.
create table checklist_item (
  type_id  bigint not null references article_type,
  key      text not null,
  position int not null,
  text     text not null,
  role     text,
  own      text,
  constraint checklist_item_key primary key (type_id, key)
);

-- What people ticked of it.
create table checklist_tick (
  round_id  bigint not null references round on delete cascade,
  key       text not null,
  ticked_on date not null,
  ticked_by bigint not null references person,
  constraint checklist_tick_key primary key (round_id, key)
);

-- Whether the checklist holds publishing up; null: where more than one person works on the site.
alter table site add column checklist_gates boolean;
