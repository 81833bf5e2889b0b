-- A brief is one document; what a sign-off saw is kept with it, and so is what a refusal asked for.
alter table brief
  add column content         jsonb,
  add column signed_content  jsonb,
  add column refused_version int,
  add column refused_by      bigint references person,
  add column refused_at      timestamptz,
  add column refusal         text;
update brief
set content = jsonb_build_object(
  'workingTitle', working_title,
  'titles', jsonb_build_array(),
  'primaryKeyword', primary_keyword,
  'secondary', to_jsonb(secondary),
  'words', case when words_low is null then 'null'::jsonb
    else jsonb_build_object('low', words_low, 'target', words_target, 'high', words_high) end,
  'outline', jsonb_build_object('sections', outline),
  'texts', jsonb_strip_nulls(jsonb_build_object(
    'READER', nullif(reader, ''), 'ANGLE', nullif(angle, ''), 'NOTES', nullif(notes, ''))),
  'parts', null);
update brief set signed_content = content where signed_off = version;
alter table brief
  alter column content set not null,
  drop column working_title,
  drop column primary_keyword,
  drop column secondary,
  drop column reader,
  drop column angle,
  drop column words_low,
  drop column words_target,
  drop column words_high,
  drop column outline,
  drop column notes;

-- Which parts of a brief are on for a type, beside title, keywords and outline.
alter table article_type
  add column brief_parts text[] not null
    default '{READER,ANGLE,OWN_POINTS,TERMS,LENGTH,LINKS,DEADLINE}',
  -- The least role that signs its briefs off.
  add column sign_off_by text not null default 'EDITOR',
  add constraint article_type_sign_off_by check (sign_off_by in ('EDITOR', 'STRATEGIST', 'OWNER'));

-- Headlines that worked, with a place for the keyword.
create table headline_pattern (
  site_id bigint not null references site,
  text    text not null,
  kept_by bigint not null references person,
  kept_at timestamptz not null default now(),
  constraint headline_pattern_key primary key (site_id, text)
);

-- A brief is shown to whoever has its link. The token itself is kept, so that the same link can be copied again.
create table brief_link (
  id           bigint generated always as identity primary key,
  site_id      bigint not null references site,
  round_id     bigint not null references round,
  whom         text not null,
  token        text not null,
  with_check   boolean not null,
  with_hand_in boolean not null,
  made_by      bigint not null references person,
  made_at      timestamptz not null,
  expires_at   timestamptz not null,
  revoked_at   timestamptz,
  constraint brief_link_token_unique unique (token)
);
create index brief_link_of on brief_link (round_id);

create table brief_opening (
  link_id bigint not null references brief_link,
  at      timestamptz not null
);
create index brief_opening_of on brief_opening (link_id, at desc);

-- Who handed a draft in by link, where nobody of the site wrote it.
alter table draft_version add column handed_in_by text;

-- What a site is for, how it sounds and what it offers; flows into its briefs.
create table brand_sheet (
  site_id bigint not null references site,
  part    text not null,
  text    text not null,
  constraint brand_sheet_key primary key (site_id, part)
);

-- A brief that others start from; of one article type, or of any.
create table brief_template (
  id      bigint generated always as identity primary key,
  site_id bigint not null references site,
  type_id bigint references article_type,
  name    text not null,
  content jsonb not null,
  kept_by bigint not null references person,
  kept_at timestamptz not null default now(),
  constraint brief_template_name unique (site_id, name)
);
