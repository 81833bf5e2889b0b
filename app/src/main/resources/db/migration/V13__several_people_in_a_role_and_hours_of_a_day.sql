-- Several people may do the steps of one role on an article; the first of them leads.
alter table article_person
  add column place int not null default 1,
  drop constraint article_person_key,
  add constraint article_person_key primary key (article_id, role, person_id);

-- What an undo puts back is the list of them.
create function pg_temp.people(value text) returns text language sql immutable as
$$ select case when value ~ '^\d+$' then
     jsonb_build_object('version', 1, 'kept', jsonb_build_object('ids', jsonb_build_array(value::bigint)))::text
   else value end $$;
update history_change
set from_value = pg_temp.people(from_value), to_value = pg_temp.people(to_value)
where thing = 'ARTICLE' and reversible
  and (field in ('Strategist', 'Editor', 'Writer') or field like 'Role: %');

-- How many hours of their days people have for articles, on all their sites. No hours of their own
-- means the usual ones. What other work is, is for the person and the site on which it was said.
alter table person
  add column day_hours double precision,
  add constraint person_day_hours check (day_hours > 0 and day_hours <= 24);
create table reserved_hours (
  id        bigint generated always as identity primary key,
  person_id bigint not null references person,
  site_id   bigint not null references site,
  weekday   int not null,
  hours     double precision not null,
  note      text not null default '',
  constraint reserved_hours_weekday check (weekday between 1 and 7),
  constraint reserved_hours_hours check (hours > 0 and hours <= 24)
);
create index reserved_hours_by_person on reserved_hours (person_id);

-- How long articles of a type usually are; null where nothing was said.
alter table article_type
  add column words_low int,
  add column words_high int,
  add constraint article_type_words check (
    (words_low is null) = (words_high is null) and 0 <= words_low and words_low <= words_high);
