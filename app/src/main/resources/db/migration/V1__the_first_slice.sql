-- People, sites and who may see which.

create extension if not exists pg_trgm;

create table person (
  id            bigint generated always as identity primary key,
  login         text not null,
  name          text not null,
  initials      text not null,
  password_hash text not null,
  created_at    timestamptz not null default now(),
  constraint person_login_unique unique (login)
);

-- One blog. next_number is the running number of the next article.
create table site (
  id           bigint generated always as identity primary key,
  slug         text not null,
  name         text not null,
  address      text not null,
  prefix       text not null,
  zone         text not null,
  working_week int[] not null,
  next_number  int not null default 1,
  constraint site_slug_unique unique (slug),
  constraint site_week_not_empty check (cardinality(working_week) > 0)
);

create table site_member (
  site_id   bigint not null references site,
  person_id bigint not null references person,
  role      text not null,
  constraint site_member_key primary key (site_id, person_id),
  constraint site_member_role check (role in ('OWNER', 'STRATEGIST', 'EDITOR', 'WRITER'))
);
create index site_member_by_person on site_member (person_id);

create table holiday (
  site_id bigint not null references site,
  day     date not null,
  name    text not null,
  constraint holiday_key primary key (site_id, day)
);

-- Research.

create table keyword_import (
  id        bigint generated always as identity primary key,
  site_id   bigint not null references site,
  person_id bigint not null references person,
  file_name text not null,
  at        timestamptz not null default now(),
  read      int not null,
  added     int not null,
  changed   int not null,
  unchanged int not null,
  repeated  int not null,
  rejected  int not null
);
create index keyword_import_by_site on keyword_import (site_id, at desc);

-- Rows of an import that could not be read, or not in whole.
create table import_problem (
  import_id bigint not null references keyword_import on delete cascade,
  line      bigint not null,
  text      text not null,
  reason    text not null,
  rejected  boolean not null
);
create index import_problem_by_import on import_problem (import_id, line);

-- A file that waits for its columns to be confirmed.
create table uploaded_file (
  id        uuid primary key,
  site_id   bigint not null references site,
  person_id bigint not null references person,
  name      text not null,
  content   bytea not null,
  at        timestamptz not null default now()
);

create table topic (
  id              bigint generated always as identity primary key,
  site_id         bigint not null references site,
  name            text not null,
  pillar_group_id bigint,
  constraint topic_name_unique unique (site_id, name)
);

-- Keywords that one article can answer. searches is null when the primary keyword's volume is unknown.
create table keyword_group (
  id            bigint generated always as identity primary key,
  site_id       bigint not null references site,
  topic_id      bigint references topic,
  name          text not null,
  keywords      int not null,
  searches      bigint,
  at_least      boolean not null,
  difficulty    double precision,
  intent        text not null,
  funnel_stage  text not null,
  intent_reason text not null
);
create index keyword_group_by_topic on keyword_group (topic_id, searches desc);
create index keyword_group_by_site on keyword_group (site_id, searches desc);
alter table topic
  add constraint topic_pillar foreign key (pillar_group_id) references keyword_group on delete set null;

-- A phrase people search for; normal is its normal form. The columns from basis on say why it is in
-- its group.
create table keyword (
  id                  bigint generated always as identity primary key,
  site_id             bigint not null references site,
  text                text not null,
  normal              text not null,
  volume              bigint,
  volume_low          bigint,
  volume_high         bigint,
  difficulty          int,
  cost_per_click      numeric(12, 2),
  intent              text,
  pages               text[] not null default '{}',
  first_import_id     bigint not null references keyword_import,
  last_import_id      bigint not null references keyword_import,
  group_id            bigint references keyword_group,
  basis               text,
  shared_with_primary int not null default 0,
  nearest             text[] not null default '{}',
  nearest_shared      int[] not null default '{}',
  shared_words        text[] not null default '{}',
  constraint keyword_normal_unique unique (site_id, normal),
  constraint keyword_difficulty check (difficulty between 0 and 100)
);
create index keyword_by_group on keyword (group_id, volume desc nulls last);

-- Article types and refresh depths, each with its run-up.

create table article_type (
  id       bigint generated always as identity primary key,
  site_id  bigint not null references site,
  name     text not null,
  kind     text not null,
  position int not null,
  cushion  int not null,
  constraint article_type_unique unique (site_id, kind, name),
  constraint article_type_kind check (kind in ('NEW', 'REFRESH'))
);

create table run_up_step (
  type_id    bigint not null references article_type,
  position   int not null,
  key        text not null,
  name       text not null,
  role       text not null,
  estimate   double precision not null,
  length     int not null,
  after      text[] not null,
  day_offset int,
  follow_up  boolean not null,
  constraint run_up_step_key primary key (type_id, key)
);

-- Articles. A round is one pass of an article through the work; current_round is the latest.

create table article (
  id             bigint generated always as identity primary key,
  site_id        bigint not null references site,
  number         int not null,
  title          text not null,
  group_id       bigint references keyword_group,
  live_address   text,
  live_simulated boolean not null default false,
  created_at     timestamptz not null default now(),
  version        int not null default 1,
  constraint article_number_unique unique (site_id, number)
);
create index article_by_group on article (group_id);
create index article_by_title on article using gin (title gin_trgm_ops);

create table article_person (
  article_id bigint not null references article,
  role       text not null,
  person_id  bigint not null references person,
  constraint article_person_key primary key (article_id, role),
  constraint article_person_role check (role in ('STRATEGIST', 'EDITOR', 'WRITER'))
);
create index article_person_by_person on article_person (person_id);

create table round (
  id                 bigint generated always as identity primary key,
  article_id         bigint not null references article,
  ordinal            int not null,
  latest             boolean not null default true,
  kind               text not null,
  type_id            bigint not null references article_type,
  stage              text not null,
  publish_date       date,
  live_at            timestamptz,
  live_on            date,
  attempted_at       timestamptz,
  failed_at          timestamptz,
  failure            text,
  started_at         timestamptz not null default now(),
  constraint round_ordinal_unique unique (article_id, ordinal),
  constraint round_kind check (kind in ('NEW', 'REFRESH')),
  constraint round_live check ((live_at is null) = (live_on is null))
);
create unique index round_latest on round (article_id) where latest;
create index round_by_publish_date on round (publish_date) where live_on is null;
create index round_by_live_day on round (live_on) where live_on is not null;

-- The steps of a round, copied from the type's run-up when the round begins.
create table step (
  id         bigint generated always as identity primary key,
  round_id   bigint not null references round,
  position   int not null,
  key        text not null,
  name       text not null,
  role       text not null,
  estimate   double precision not null,
  length     int not null,
  after      text[] not null,
  day_offset int,
  follow_up  boolean not null,
  pinned     date,
  done_on    date,
  done_at    timestamptz,
  done_by    bigint references person,
  done_due   date,
  constraint step_key_unique unique (round_id, key),
  constraint step_done check ((done_on is null) = (done_at is null))
);

create table stage_move (
  id         bigint generated always as identity primary key,
  round_id   bigint not null references round,
  from_stage text,
  to_stage   text not null,
  person_id  bigint not null references person,
  at         timestamptz not null default now()
);
create index stage_move_by_round on stage_move (round_id, at);

create table pitch (
  id         bigint generated always as identity primary key,
  site_id    bigint not null references site,
  title      text not null,
  state      text not null default 'OPEN',
  pitched_by bigint not null references person,
  pitched_at timestamptz not null default now(),
  article_id bigint references article,
  constraint pitch_state check (state in ('OPEN', 'COMMISSIONED'))
);
create index pitch_by_site on pitch (site_id, state, pitched_at desc);

-- Briefs and what they are drawn from.

create table brief (
  round_id        bigint primary key references round,
  working_title   text not null default '',
  primary_keyword text not null default '',
  secondary       text[] not null default '{}',
  reader          text not null default '',
  angle           text not null default '',
  words_low       int,
  words_target    int,
  words_high      int,
  outline         jsonb not null default '[]',
  notes           text not null default '',
  version         int not null default 1,
  changed_by      bigint references person,
  changed_at      timestamptz not null default now()
);

-- What ranks for a phrase, as the search service told it.
create table evidence (
  id           bigint generated always as identity primary key,
  site_id      bigint not null references site,
  phrase       text not null,
  normal       text not null,
  simulated    boolean not null,
  fetched_at   timestamptz not null,
  words_low    int,
  words_target int,
  words_high   int,
  constraint evidence_phrase_unique unique (site_id, normal)
);

create table evidence_page (
  evidence_id bigint not null references evidence on delete cascade,
  position    int not null,
  address     text not null,
  title       text not null,
  headings    text[] not null,
  blocks      text[] not null,
  constraint evidence_page_key primary key (evidence_id, position)
);

create table evidence_term (
  evidence_id bigint not null references evidence on delete cascade,
  position    int not null,
  phrase      text not null,
  pages       int not null,
  low         double precision not null,
  high        double precision not null,
  weight      double precision not null,
  constraint evidence_term_key primary key (evidence_id, position)
);

create table draft_version (
  round_id bigint not null references round,
  ordinal  int not null,
  text     text not null,
  words    int not null,
  saved_by bigint not null references person,
  saved_at timestamptz not null default now(),
  constraint draft_version_key primary key (round_id, ordinal)
);

-- A month's number of new and of refreshed articles; month is its first day.
create table target (
  site_id bigint not null references site,
  month   date not null,
  kind    text not null,
  number  int not null,
  set_by  bigint not null references person,
  set_at  timestamptz not null default now(),
  constraint target_key primary key (site_id, month, kind),
  constraint target_number check (number between 0 and 999),
  constraint target_month check (extract(day from month) = 1)
);
