-- Another mail address that somebody asked for: confirmed by a link sent there, or by an owner
-- where no mail is sent.
create table mail_change (
  id         bigint generated always as identity primary key,
  person_id  bigint not null references person,
  mail       text not null,
  token_hash bytea,
  expires_at timestamptz not null,
  used_at    timestamptz,
  constraint mail_change_token_unique unique (token_hash)
);
create index mail_change_by_person on mail_change (person_id) where used_at is null;
create index password_link_by_person on password_link (person_id) where used_at is null;
