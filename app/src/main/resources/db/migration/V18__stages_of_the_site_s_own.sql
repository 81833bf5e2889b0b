-- Stages were the same seven everywhere; they are the site's own now.
create table stage (
  id         bigint generated always as identity primary key,
  site_id    bigint not null references site,
  name       text not null,
  phase      text not null,
  place      int not null,
  acts       text[] not null default '{}',
  role       text,
  person_id  bigint references person,
  due_days   int,
  ticks      text not null default '',
  adds       text not null default '',
  comes_by   text not null default '',
  retired_at timestamptz,
  constraint stage_phase check (phase in ('TO_COME', 'IN_HAND', 'SET', 'LIVE', 'ENDED')),
  constraint stage_due check (due_days between 0 and 200)
);
create unique index stage_name on stage (site_id, lower(name)) where retired_at is null;

insert into stage (site_id, name, phase, place, acts, role)
select si.id, s.name, s.phase, s.place, s.acts::text[], s.role
from site si
cross join (values
  ('Commissioned', 'TO_COME', 0, '{COMMISSIONING}', 'strategist'),
  ('Briefed', 'IN_HAND', 1, '{SIGN_OFF}', 'writer'),
  ('Drafting', 'IN_HAND', 2, '{}', 'writer'),
  ('Editing', 'IN_HAND', 3, '{HAND_IN}', 'editor'),
  ('Ready', 'SET', 4, '{}', 'strategist'),
  ('Live', 'LIVE', 5, '{PUBLISHING}', null),
  ('Retired', 'ENDED', 6, '{RETIRING}', null)) s (name, phase, place, acts, role);

create function pg_temp.stage_of(site bigint, was text) returns bigint language sql stable as
$$ select id from stage where site_id = site and upper(name) = was $$;

alter table round add column stage_id bigint references stage;
update round r set stage_id = st.id
from article a, stage st
where a.id = r.article_id and st.site_id = a.site_id and upper(st.name) = r.stage;
alter table round alter column stage_id set not null, drop column stage;
create index round_by_stage on round (stage_id) where latest and live_on is null;

alter table stage_move
  add column from_id bigint references stage,
  add column to_id bigint references stage;
update stage_move m
set from_id = f.id, to_id = t.id
from round r
join article a on a.id = r.article_id
join stage t on t.site_id = a.site_id
left join stage f on f.site_id = a.site_id
where r.id = m.round_id and upper(t.name) = m.to_stage
  and (upper(f.name) = m.from_stage or (m.from_stage is null and f.place = 0));
update stage_move set from_id = null where from_stage is null;
alter table stage_move
  alter column to_id set not null,
  drop column from_stage,
  drop column to_stage;

-- Undoing a move finds the stage by its id, whatever it is called since.
update history_change c
set from_value = pg_temp.stage_of(e.site_id, c.from_value)::text,
  to_value = pg_temp.stage_of(e.site_id, c.to_value)::text
from history_entry e
where e.id = c.entry_id and c.thing = 'ARTICLE' and c.field = 'Stage' and c.reversible;

-- What articles of a type need before anybody writes; a refresh starts from the brief it had.
alter table article_type
  add column brief_need text not null default 'SIGNED_OFF',
  add constraint article_type_brief_need check (brief_need in ('NONE', 'WRITTEN', 'SIGNED_OFF'));
update article_type set brief_need = 'NONE' where kind = 'REFRESH';

update ledger_view v
set query = regexp_replace(v.query, '(^|&)stage=' || upper(st.name) || '(&|$)', '\1stage=' || st.id || '\2')
from stage st
where v.ledger = 'ARTICLES' and st.site_id = v.site_id
  and v.query ~ ('(^|&)stage=' || upper(st.name) || '(&|$)');
