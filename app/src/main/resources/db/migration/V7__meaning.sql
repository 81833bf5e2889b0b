-- The vector of a text is computed once: whoever has the text needs the same one.
create table text_vector (
  model text not null,
  text text not null,
  vector bytea not null,
  primary key (model, text)
);

alter table site add column language text not null default 'en';

-- The language is guessed at import; what a person set stays.
alter table keyword
  add column language text,
  add column language_pinned boolean not null default false,
  add column near_primary real,
  add column nearest_near real[] not null default '{}';

alter table grouping add column near int not null default 43;

-- How near a group is to its topic, the words it has in common with it, another topic it fits as well.
alter table keyword_group
  add column topic_near real,
  add column topic_words text[] not null default '{}',
  add column also_topic_id bigint references topic on delete set null;
create index keyword_group_by_also_topic on keyword_group (also_topic_id) where also_topic_id is not null;
