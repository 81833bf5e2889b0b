-- The publish date of a round that hangs on the day of another: so many working days after it, or
-- on a certain day of a later week.
create table date_follow (
  round_id       bigint primary key references round on delete cascade,
  other_round_id bigint not null references round on delete cascade,
  working_days   int,
  nth            int,
  weekday        int,
  constraint date_follow_other check (round_id != other_round_id),
  constraint date_follow_rule check (
    (working_days is null) != (nth is null) and (nth is null) = (weekday is null))
);
create index date_follow_by_other on date_follow (other_round_id);
