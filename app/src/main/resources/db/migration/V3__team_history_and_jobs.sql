-- What a person set for themselves. mail is where notices and links go; null when none is known.
alter table person
  add column mail         text,
  add column theme        text not null default 'AUTO',
  add column single_keys  boolean not null default true,
  add column last_site_id bigint references site,
  add column digest_on    date,
  add constraint person_theme check (theme in ('AUTO', 'LIGHT', 'DARK'));
update person set mail = login where login like '%@%';
create unique index person_mail on person (lower(mail));

alter table site add column version int not null default 1;

-- Whoever left keeps the row, so that what they did keeps its name.
alter table site_member
  add column joined_at timestamptz not null default now(),
  add column left_at   timestamptz;

-- A one-time link with which somebody joins a site. Only the hash of its token is kept.
create table invitation (
  id          bigint generated always as identity primary key,
  site_id     bigint not null references site,
  mail        text not null,
  role        text not null,
  token_hash  bytea not null,
  invited_by  bigint not null references person,
  at          timestamptz not null,
  expires_at  timestamptz not null,
  accepted_at timestamptz,
  revoked_at  timestamptz,
  constraint invitation_token_unique unique (token_hash),
  constraint invitation_role check (role in ('OWNER', 'STRATEGIST', 'EDITOR', 'WRITER'))
);
create index invitation_by_site on invitation (site_id, at desc);

-- A one-time link with which somebody chooses a new password.
create table password_link (
  token_hash bytea primary key,
  person_id  bigint not null references person,
  expires_at timestamptz not null,
  used_at    timestamptz
);

-- History: an entry is what a person did at once, a change what it did to one thing. before and
-- after are words for people; from_value and to_value are what an undo works with.
create table history_entry (
  id        bigint generated always as identity primary key,
  site_id   bigint not null references site,
  person_id bigint references person,
  at        timestamptz not null,
  sentence  text not null,
  needs     text not null,
  undoes    bigint references history_entry,
  undone_by bigint references history_entry
);
create index history_entry_by_site on history_entry (site_id, at desc, id desc);
create index history_entry_by_person on history_entry (person_id, at desc, id desc);

create table history_change (
  entry_id   bigint not null references history_entry on delete cascade,
  position   int not null,
  thing      text not null,
  thing_key  text not null,
  field      text not null,
  before     text,
  after      text,
  from_value text,
  to_value   text,
  reversible boolean not null,
  constraint history_change_key primary key (entry_id, position)
);
create index history_change_by_thing on history_change (thing, thing_key, entry_id desc);

-- What Osmerin tells a person.
create table notice (
  id        bigint generated always as identity primary key,
  person_id bigint not null references person,
  site_id   bigint not null references site,
  kind      text not null,
  text      text not null,
  path      text not null,
  at        timestamptz not null,
  shown     boolean not null,
  read_at   timestamptz,
  digest    boolean not null
);
create index notice_by_person on notice (person_id, at desc, id desc) where shown;
create index notice_unread on notice (person_id) where shown and read_at is null;
create index notice_for_digest on notice (person_id) where digest;

-- What a person chose for a kind of notice; without a row the kind's own choice holds.
create table notice_choice (
  person_id bigint not null references person,
  kind      text not null,
  in_app    boolean not null,
  mail      text not null,
  constraint notice_choice_key primary key (person_id, kind),
  constraint notice_choice_mail check (mail in ('NEVER', 'AT_ONCE', 'DAILY'))
);

-- Jobs: the table of db-scheduler, as its release describes it.
create table scheduled_tasks (
  task_name            text not null,
  task_instance        text not null,
  task_data            bytea,
  execution_time       timestamptz not null,
  picked               boolean not null,
  picked_by            text,
  last_success         timestamptz,
  last_failure         timestamptz,
  consecutive_failures int,
  last_heartbeat       timestamptz,
  version              bigint not null,
  priority             smallint,
  constraint scheduled_tasks_key primary key (task_name, task_instance)
);
create index scheduled_tasks_execution_time on scheduled_tasks (execution_time);
create index scheduled_tasks_last_heartbeat on scheduled_tasks (last_heartbeat);
create index scheduled_tasks_priority on scheduled_tasks (priority desc, execution_time asc);

-- Archived things are out of sight and can be brought back.
alter table article add column archived_at timestamptz;
alter table keyword_group
  add column archived_at timestamptz,
  add column version     int not null default 1;
alter table pitch
  add column archived_at timestamptz,
  add column version     int not null default 1;

-- The hour, in the site's zone, at which a Ready round is published by itself, who set it, since when
-- date, hour and stage are as they are, and how often publishing failed since. An hour that had
-- passed by then is not made up for: only an outage is.
alter table round
  add column publish_hour time,
  add column publish_by   bigint references person,
  add column publish_set_at timestamptz not null default now(),
  add column publish_tries int not null default 0;

-- The version of the brief that an editor signed off.
alter table brief
  add column signed_off    int,
  add column signed_off_by bigint references person,
  add column signed_off_at timestamptz;

-- The figures that a keyword had before an import changed them.
create table keyword_before (
  import_id      bigint not null references keyword_import on delete cascade,
  keyword_id     bigint not null references keyword on delete cascade,
  volume         bigint,
  volume_low     bigint,
  volume_high    bigint,
  difficulty     int,
  cost_per_click numeric(12, 2),
  intent         text,
  pages          text[] not null,
  last_import_id bigint not null references keyword_import,
  constraint keyword_before_key primary key (import_id, keyword_id)
);
create index keyword_before_by_keyword on keyword_before (keyword_id);
create index keyword_by_first_import on keyword (first_import_id);
create index keyword_by_last_import on keyword (last_import_id);
alter table keyword_import add column undone_at timestamptz;

-- Long work: how far it is, and what came of it.
create table work (
  id         uuid primary key,
  site_id    bigint not null references site,
  person_id  bigint not null references person,
  kind       text not null,
  name       text not null,
  state      text not null,
  step       text not null,
  done       bigint not null default 0,
  total      bigint not null default 0,
  fault      text,
  path       text,
  started_at timestamptz not null,
  ended_at   timestamptz,
  constraint work_state check (state in ('WAITING', 'RUNNING', 'DONE', 'FAILED'))
);
create index work_by_person on work (person_id, started_at desc);

-- Find: parts of names.
create index pitch_by_words on pitch using gin (title gin_trgm_ops);
create index keyword_group_by_words on keyword_group using gin (name gin_trgm_ops);
create index topic_by_words on topic using gin (name gin_trgm_ops);
create index keyword_by_words on keyword using gin (text gin_trgm_ops);
