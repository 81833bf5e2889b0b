-- A guest is named like anybody, has no account, and works on an article through a link.
alter table site_member
  drop constraint site_member_role,
  add constraint site_member_role check (role in ('OWNER', 'STRATEGIST', 'EDITOR', 'WRITER', 'GUEST'));

create table guest (
  person_id bigint primary key references person,
  site_id   bigint not null references site,
  mail      text not null
);
create unique index guest_mail on guest (site_id, lower(mail));

-- The token itself is kept, so that whoever names a guest can hand the same link over again.
create table guest_link (
  id         bigint generated always as identity primary key,
  person_id  bigint not null references guest,
  article_id bigint not null references article,
  token      text not null,
  with_brief boolean not null,
  made_at    timestamptz not null,
  expires_at timestamptz not null,
  revoked_at timestamptz,
  opened_at  timestamptz,
  constraint guest_link_token_unique unique (token)
);
create unique index guest_link_of on guest_link (article_id, person_id) where revoked_at is null;

create table guest_note (
  id         bigint generated always as identity primary key,
  article_id bigint not null references article,
  person_id  bigint not null references guest,
  text       text not null,
  at         timestamptz not null
);
create index guest_note_of on guest_note (article_id, at desc);

create table guest_file (
  id         bigint generated always as identity primary key,
  article_id bigint not null references article,
  person_id  bigint not null references guest,
  name       text not null,
  content    bytea not null,
  at         timestamptz not null
);
create index guest_file_of on guest_file (article_id, at desc);
