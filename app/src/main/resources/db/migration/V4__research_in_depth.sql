-- Work that somebody stopped.
alter table work drop constraint work_state;
alter table work add constraint work_state
  check (state in ('WAITING', 'RUNNING', 'DONE', 'FAILED', 'STOPPED'));

-- What the columns of a file with this header held when it was imported last.
create table known_header (
  site_id bigint not null references site,
  header  text[] not null,
  columns text[] not null,
  constraint known_header_key primary key (site_id, header)
);

-- What a site can reach, and what a visit is worth to it by funnel stage.
create table reach (
  site_id       bigint primary key references site,
  strength      int not null,
  awareness     numeric(10, 2),
  consideration numeric(10, 2),
  decision      numeric(10, 2),
  version       int not null default 0,
  constraint reach_strength check (strength between 0 and 100)
);
