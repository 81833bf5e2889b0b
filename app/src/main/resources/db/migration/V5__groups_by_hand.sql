-- A keyword that a person put where it is: no later run moves it. Without a group it waits for one.
-- intent_pinned: its intent was set by a person and stands. excluded: it is out of sight and in no
-- group, since it is on the exclude list. variant_of: the close variant that stands for it, null when
-- it stands for itself.
alter table keyword
  add column pinned        boolean not null default false,
  add column intent_pinned boolean not null default false,
  add column excluded      boolean not null default false,
  add column variant_of    bigint;
create index keyword_by_representative on keyword (variant_of) where variant_of is not null;
create index keyword_waiting on keyword (site_id, volume desc nulls last, id) where group_id is null and not excluded;

-- A locked group takes no other keyword; a name or intent that a person gave outlives every run.
alter table keyword_group
  add column locked        boolean not null default false,
  add column name_pinned   boolean not null default false,
  add column intent_pinned boolean not null default false;

-- A focus topic is one that the whole team keeps in mind, since focus_at.
alter table topic
  add column focus_at timestamptz,
  add column version  int not null default 1;

-- How a site's keywords are grouped; without a row as core ships it.
create table grouping (
  site_id    bigint primary key references site,
  min_shared int not null,
  mode       text not null,
  constraint grouping_mode check (mode in ('LOOSE', 'STRICT'))
);

-- What people did to groups: where each keyword was before and where it is after. Groups are told
-- apart by their id alone, since one may have gone with an import.
create table hand_edit (
  id      bigint generated always as identity primary key,
  site_id bigint not null references site,
  at      timestamptz not null default now()
);

create table hand_edit_keyword (
  edit_id       bigint not null references hand_edit on delete cascade,
  keyword_id    bigint not null,
  before_group  bigint,
  before_pinned boolean not null,
  before_excluded boolean not null,
  after_group   bigint,
  after_pinned  boolean not null,
  after_excluded boolean not null,
  constraint hand_edit_keyword_key primary key (edit_id, keyword_id)
);
create index hand_edit_keyword_before on hand_edit_keyword (before_group);
create index hand_edit_keyword_after on hand_edit_keyword (after_group);

-- Articles that followed their group's keywords.
create table hand_edit_article (
  edit_id      bigint not null references hand_edit on delete cascade,
  article_id   bigint not null references article,
  before_group bigint not null,
  after_group  bigint not null,
  constraint hand_edit_article_key primary key (edit_id, article_id)
);

-- What nobody wants to write about: a whole keyword, or words that stand in this order in any.
create table exclusion (
  id        bigint generated always as identity primary key,
  site_id   bigint not null references site,
  kind      text not null,
  text      text not null,
  normal    text not null,
  person_id bigint not null references person,
  at        timestamptz not null,
  constraint exclusion_kind check (kind in ('KEYWORD', 'WORDS')),
  constraint exclusion_unique unique (site_id, kind, normal)
);
alter table keyword_import add column excluded int not null default 0;

-- What people put on the exclude list, or took off it.
create table hand_edit_exclusion (
  edit_id bigint not null references hand_edit on delete cascade,
  kind    text not null,
  text    text not null,
  normal  text not null,
  added   boolean not null,
  constraint hand_edit_exclusion_key primary key (edit_id, kind, normal)
);

-- Intents that a person gave to keywords, with what they were before.
create table hand_edit_intent (
  edit_id       bigint not null references hand_edit on delete cascade,
  keyword_id    bigint not null,
  before_intent text,
  before_pinned boolean not null,
  after_intent  text,
  after_pinned  boolean not null,
  constraint hand_edit_intent_key primary key (edit_id, keyword_id)
);

-- A view of the keyword ledger under a name: filters, order and columns as they stand in its address.
create table keyword_view (
  id        bigint generated always as identity primary key,
  site_id   bigint not null references site,
  person_id bigint not null references person,
  name      text not null,
  query     text not null,
  shown_first boolean not null default false,
  constraint keyword_view_unique unique (site_id, person_id, name)
);

-- The group that a pitched article is to answer.
alter table pitch add column group_id bigint references keyword_group on delete set null;
create index pitch_by_group on pitch (group_id) where group_id is not null;

-- What a file or an address says is live, until somebody has looked at it.
create table inventory_reading (
  id        uuid primary key,
  site_id   bigint not null references site,
  person_id bigint not null references person,
  name      text not null,
  at        timestamptz not null
);
create table inventory_incoming (
  reading_id uuid not null references inventory_reading on delete cascade,
  position   int not null,
  address    text not null,
  normal     text not null,
  title      text,
  published  date,
  changed    date,
  constraint inventory_incoming_key primary key (reading_id, position)
);
create table inventory_problem (
  reading_id uuid not null references inventory_reading on delete cascade,
  position   int not null,
  place      text not null,
  reason     text not null,
  constraint inventory_problem_key primary key (reading_id, position)
);

-- Articles that came in at once, so that they can go at once.
create table bringing_in (
  id      bigint generated always as identity primary key,
  site_id bigint not null references site,
  at      timestamptz not null default now()
);
create table brought_in (
  bringing_id bigint not null references bringing_in on delete cascade,
  article_id  bigint not null references article,
  constraint brought_in_key primary key (bringing_id, article_id)
);

-- Which groups a live article may answer, and whether a person has said so. changed_on: the last
-- change that the inventory told of.
create table live_match (
  article_id bigint not null references article,
  group_id   bigint not null references keyword_group on delete cascade,
  basis      text not null,
  sure       double precision not null,
  keywords   int not null,
  best       int not null,
  constraint live_match_key primary key (article_id, group_id)
);
create index live_match_by_group on live_match (group_id);
create table inventory_article (
  article_id bigint primary key references article,
  changed_on date,
  decided    boolean not null default false
);

-- Whether the site's chances are those learned from its own outcomes.
alter table reach add column fitted boolean not null default false;

-- The ledger's orders once more: without what is excluded, and with what folding asks of every row.
drop index keyword_by_volume;
drop index keyword_by_difficulty;
drop index keyword_by_cost;
create index keyword_by_volume on keyword (site_id, volume desc nulls last, id)
  include (variant_of) where not excluded;
create index keyword_by_difficulty on keyword (site_id, difficulty, id)
  include (variant_of) where not excluded;
create index keyword_by_cost on keyword (site_id, cost_per_click desc nulls last, id)
  include (variant_of) where not excluded;
create index keyword_excluded on keyword (site_id, volume desc nulls last, id) where excluded;

-- Uploads are read back once or twice and thrown away; packing them takes longer than writing them.
alter table uploaded_file alter column content set storage external;
