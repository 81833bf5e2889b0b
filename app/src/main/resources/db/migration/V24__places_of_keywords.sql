-- Where each keyword is, apart from what is known of it, so that moving many writes short rows and none
-- of the indexes by figures and words. Without a group a keyword waits for one. pinned: a person put it
-- there, and no later run moves it. The columns from basis on say why it is in its group.
create table keyword_place (
  keyword_id          bigint primary key references keyword on delete cascade,
  group_id            bigint references keyword_group,
  pinned              boolean not null,
  basis               text,
  shared_with_primary int not null,
  nearest             text[] not null,
  nearest_shared      int[] not null,
  shared_words        text[] not null,
  near_primary        real,
  nearest_near        real[] not null
);
insert into keyword_place
select
  id, group_id, pinned, basis, shared_with_primary, nearest, nearest_shared, shared_words, near_primary,
  nearest_near
from keyword;
create index keyword_place_by_group on keyword_place (group_id, keyword_id);

drop view group_evidence;
-- Two indexes go along with group_id: keyword_by_group and keyword_waiting.
alter table keyword
  drop column group_id,
  drop column pinned,
  drop column basis,
  drop column shared_with_primary,
  drop column nearest,
  drop column nearest_shared,
  drop column shared_words,
  drop column near_primary,
  drop column nearest_near;

-- As before, by the places.
create view group_evidence as
select distinct on (k.site_id, p.group_id)
  k.site_id, p.group_id, e.id as evidence_id, e.words_target
from evidence e
join keyword k on k.site_id = e.site_id and k.normal = e.normal
join keyword_place p on p.keyword_id = k.id
join keyword_group g on g.id = p.group_id
where e.latest
order by k.site_id, p.group_id, (e.normal = g.primary_normal) desc nulls last, e.fetched_at desc, e.id desc;
