-- Article types that a site edits, the steps of one article, and who works when.

create table step_role (
  site_id  bigint not null references site,
  name     text not null,
  position int not null,
  constraint step_role_key primary key (site_id, name)
);
insert into step_role (site_id, name, position)
select s.id, r.name, r.position
from site s
cross join (values ('strategist', 0), ('editor', 1), ('writer', 2)) r (name, position);

-- Roles are the site's own; they are kept as people read them.
alter table article_person drop constraint article_person_role;
update article_person set role = lower(role);
update run_up_step set role = lower(role);
update step set role = lower(role);

-- What completes a step besides a person.
alter table run_up_step
  add column completed_by text not null default 'HAND',
  add constraint run_up_step_completed_by
    check (completed_by in ('HAND', 'BRIEF_SIGNED_OFF', 'DRAFT_HANDED_IN', 'PUBLISHED'));
alter table step
  add column completed_by text not null default 'HAND',
  add column person_id bigint references person,
  add constraint step_completed_by
    check (completed_by in ('HAND', 'BRIEF_SIGNED_OFF', 'DRAFT_HANDED_IN', 'PUBLISHED'));
update run_up_step
set completed_by = case key when 'brief' then 'BRIEF_SIGNED_OFF' else 'DRAFT_HANDED_IN' end
where key in ('brief', 'draft');
update step
set completed_by = case key when 'brief' then 'BRIEF_SIGNED_OFF' else 'DRAFT_HANDED_IN' end
where key in ('brief', 'draft');
create index step_by_person on step (person_id) where person_id is not null;
create index step_follow_up on step (round_id) where follow_up and done_on is null;

-- A retired type stays with the articles that have it; its name may be given again.
alter table article_type
  add column version int not null default 1,
  add column retired_at timestamptz,
  drop constraint article_type_unique;
create unique index article_type_name on article_type (site_id, kind, lower(name))
  where retired_at is null;
create index round_by_type on round (type_id) where latest and live_on is null;

-- A round keeps the cushion of its type as it was when it began, or when it followed it.
alter table round add column cushion int;
update round r set cushion = t.cushion from article_type t where t.id = r.type_id;
alter table round alter column cushion set not null;

-- The recipe that a round began with or followed, by the version of its type; older ones are kept,
-- since what an article has of its own is told by the recipe that it has it from.
alter table round add column type_version int not null default 1;
create table former_step (
  like run_up_step including defaults,
  version int not null,
  constraint former_step_key primary key (type_id, version, key),
  constraint former_step_type foreign key (type_id) references article_type
);

-- How a step of a type is done here.
create table step_guide (
  type_id    bigint not null references article_type,
  key        text not null,
  text       text not null,
  written_on date not null,
  written_by bigint not null references person,
  version    int not null default 1,
  constraint step_guide_key primary key (type_id, key)
);

-- Who works when, on all their sites. No days of their own means those of the site.
alter table person add column working_days int[];
create table absence (
  id        bigint generated always as identity primary key,
  person_id bigint not null references person,
  first_day date not null,
  last_day  date not null,
  note      text not null default '',
  constraint absence_days check (first_day <= last_day)
);
create index absence_by_person on absence (person_id, last_day);

-- What steps really took.
alter table step add column real_hours double precision;

-- Tasks that belong to no article.
create table task (
  id        bigint generated always as identity primary key,
  site_id   bigint not null references site,
  name      text not null,
  person_id bigint not null references person,
  hours     double precision not null,
  day       date not null,
  done_on   date,
  removed   boolean not null default false
);
create index task_open on task (site_id, person_id, day) where done_on is null and not removed;

-- Who usually does a role's steps of a type.
create table article_type_person (
  type_id   bigint not null references article_type,
  role      text not null,
  person_id bigint not null references person,
  constraint article_type_person_key primary key (type_id, role)
);

-- On hold: why, since when, who can free it, and perhaps until when.
alter table round
  add column hold_reason text,
  add column held_on date,
  add column hold_free_by bigint references person,
  add column hold_until date,
  add constraint round_hold check ((hold_reason is null) = (held_on is null));
create index round_on_hold on round (held_on) where hold_reason is not null;
