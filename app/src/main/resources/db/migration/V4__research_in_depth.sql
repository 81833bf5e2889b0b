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
