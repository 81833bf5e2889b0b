-- What kind of page ranks, and what several of them say. Evidence fetched before has neither until it is fetched again.
alter table evidence_page
  add column kind   text,
  add column reason text,
  add constraint evidence_page_kind check (
    kind in ('HOW_TO', 'LIST', 'COMPARISON', 'DEFINITION', 'SHOP', 'FORUM', 'VIDEO', 'TOOL'));
alter table evidence add column say jsonb;
