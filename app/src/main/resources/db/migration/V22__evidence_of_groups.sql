-- Evidence is kept each time it is fetched; pages keep every block, what counts of it and why the rest does not.
alter table evidence
  drop constraint evidence_phrase_unique,
  add column latest     boolean not null default true,
  add column changed_at timestamptz not null default now(),
  add column by_meaning boolean not null default false,
  add column about      text,
  add column missing    text[] not null default '{}';
create unique index evidence_latest_unique on evidence (site_id, normal) where latest;
create index evidence_phrase on evidence (site_id, normal, fetched_at desc);

alter table evidence_page
  add column origin   text not null default 'SEARCH',
  add column left_out boolean not null default false,
  add column parts    jsonb,
  add column signs    jsonb not null default
    '{"types":[],"prices":0,"buys":false,"posts":0,"videos":0,"inputs":0,"orderedItems":0}',
  add constraint evidence_page_origin check (origin in ('SEARCH', 'PASTED', 'FILE', 'ADDRESS'));
update evidence_page p set parts = (
  select coalesce(jsonb_agg(jsonb_build_object('kind', b.kind, 'text', b.text) order by b.place), '[]')
  from (
    select 'HEADING' as kind, h.text, h.place from unnest(p.headings) with ordinality h (text, place)
    union all
    select 'PARAGRAPH', t.text, 100000 + t.place from unnest(p.blocks) with ordinality t (text, place)
  ) b);
alter table evidence_page alter column parts set not null, drop column headings, drop column blocks;

-- The evidence of a group is that of its primary keyword, else the latest of its other keywords. Whoever asks names the
-- site too, so that only its evidence is looked at.
create view group_evidence as
select distinct on (k.site_id, k.group_id)
  k.site_id, k.group_id, e.id as evidence_id, e.words_target
from evidence e
join keyword k on k.site_id = e.site_id and k.normal = e.normal
join keyword_group g on g.id = k.group_id
where e.latest
order by k.site_id, k.group_id, (e.normal = g.primary_normal) desc nulls last, e.fetched_at desc, e.id desc;

-- Work says where it was begun, so that whoever stops it is led back.
update work set kind = upper(kind);
