-- The primary keyword by its normal form, so that what is kept for it is found.
alter table keyword_group add column primary_normal text;
update keyword_group g set primary_normal = (
  select k.normal from keyword k
  where k.group_id = g.id and not k.excluded
  order by k.volume desc nulls last, length(k.normal), k.normal
  limit 1);

-- Why an article has its group: CHOSEN before it went live, by its TITLE, because it RANKS, or said LATER by a person.
alter table article
  add column group_basis text
  constraint article_group_basis check (group_basis in ('CHOSEN', 'TITLE', 'RANKS', 'LATER'));
update article a set group_basis = case
    when exists (select 1 from inventory_article i where i.article_id = a.id and i.decided) then 'LATER'
    else 'CHOSEN' end
where group_id is not null;

-- The group that an article's title alone tells, whatever it ranks for.
create table title_match (
  article_id bigint primary key references article,
  group_id   bigint not null references keyword_group on delete cascade
);
create index title_match_by_group on title_match (group_id);

-- Whether a file named ranking pages: only then does it tell that a page does not rank.
alter table keyword_import add column with_pages boolean not null default true;

-- Unknown until a person says so. The site's own chances stand apart from it.
alter table reach
  alter column strength drop not null,
  add column words_an_hour int not null default 250,
  add column learned_even double precision,
  add column learned_spread double precision,
  drop column fitted;
alter table reach rename to site_strength;
update history_change set thing = 'STRENGTH' where thing = 'REACH';

-- The publish dates of a month as they stood when it began, by round.
create table kept_month (
  site_id bigint not null references site,
  month   date not null,
  kept_at timestamptz not null default now(),
  constraint kept_month_key primary key (site_id, month)
);
create table kept_date (
  site_id      bigint not null,
  month        date not null,
  round_id     bigint not null references round,
  publish_date date not null,
  constraint kept_date_key primary key (site_id, month, round_id),
  constraint kept_date_month foreign key (site_id, month) references kept_month on delete cascade
);
create index kept_date_by_round on kept_date (round_id);
