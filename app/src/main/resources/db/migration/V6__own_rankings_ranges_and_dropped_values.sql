-- Where the site's own pages stand for keywords, as an import says; of several the latest counts.
create table own_ranking (
  keyword_id bigint not null references keyword on delete cascade,
  import_id  bigint not null references keyword_import on delete cascade,
  position   int,
  page       text,
  constraint own_ranking_key primary key (keyword_id, import_id)
);
create index own_ranking_by_import on own_ranking (import_id);
create index own_ranking_by_page on own_ranking (page) where page is not null;

-- The cell that was wrong, apart from the reason, so that equal reasons can be counted.
alter table import_problem add column value text not null default '';

-- The ends of the sum where tools gave ranges.
alter table keyword_group
  add column searches_low bigint,
  add column searches_high bigint;

-- Every page asks for the site's latest entry.
create index history_entry_latest on history_entry (site_id, id);
