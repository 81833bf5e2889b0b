-- Reminders of steps, each of which a person gets once for a due date.
alter table person
  add column remind_days int not null default 1,
  add constraint person_remind_days check (remind_days between 0 and 30);
alter table site add column reminded_on date;
create table reminder (
  person_id bigint not null references person,
  round_id  bigint not null references round on delete cascade,
  key       text not null,
  kind      text not null,
  due       date not null,
  constraint reminder_key primary key (person_id, round_id, key, kind, due)
);
