-- A round that nobody has worked on yet can be withdrawn, with what was planned of it.
alter table kept_date
  drop constraint kept_date_round_id_fkey,
  add constraint kept_date_round_id_fkey
    foreign key (round_id) references round on delete cascade;
