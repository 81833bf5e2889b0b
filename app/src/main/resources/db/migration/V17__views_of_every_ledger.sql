-- Not only the keyword ledger is kept in views.
alter table keyword_view rename to ledger_view;
alter table ledger_view
  add column ledger text not null default 'KEYWORDS',
  drop constraint keyword_view_unique,
  add constraint ledger_view_unique unique (site_id, person_id, ledger, name);
alter table ledger_view alter column ledger drop default;
