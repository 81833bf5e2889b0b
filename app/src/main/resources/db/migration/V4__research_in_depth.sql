-- Work that somebody stopped.
alter table work drop constraint work_state;
alter table work add constraint work_state
  check (state in ('WAITING', 'RUNNING', 'DONE', 'FAILED', 'STOPPED'));

-- What the columns of a file with this header held when it was imported last.
create table known_header (
  site_id bigint not null references site,
  header  text[] not null,
  columns text[] not null,
  constraint known_header_key primary key (site_id, header)
);

-- What a site can reach, and what a visit is worth to it by funnel stage.
create table reach (
  site_id       bigint primary key references site,
  strength      int not null,
  awareness     numeric(10, 2),
  consideration numeric(10, 2),
  decision      numeric(10, 2),
  version       int not null default 0,
  constraint reach_strength check (strength between 0 and 100)
);

-- Asked of every row by a filter, without fetching the pages themselves.
alter table keyword
  add column has_pages boolean not null generated always as (pages != '{}') stored;

-- The ledger of all keywords is sorted by these.
create index keyword_by_volume on keyword (site_id, volume desc nulls last, id);
create index keyword_by_difficulty on keyword (site_id, difficulty, id);
create index keyword_by_cost on keyword (site_id, cost_per_click desc nulls last, id);

-- Both follow from the first import, whose site is the keyword's; checking them for every row takes
-- a large import longer than writing the rows.
alter table keyword drop constraint keyword_site_id_fkey;
alter table keyword drop constraint keyword_last_import_id_fkey;
