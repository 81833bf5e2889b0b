-- What history keeps for an undo in several parts was text of private formats; it is JSON with a version now.

create function pg_temp.kept(value jsonb) returns text language sql immutable as
$$ select jsonb_build_object('version', 1, 'kept', value)::text $$;

create function pg_temp.part(value text, at int) returns text language sql immutable as
$$ select nullif(nullif(nullif(split_part(value, ' ', at), ''), '-'), 'null') $$;

-- "draft", or "draft 2026-11-24 17 2026-11-25"
create function pg_temp.tick(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('key', split_part(value, ' ', 1), 'doneOn', pg_temp.part(value, 2),
     'doneBy', pg_temp.part(value, 3)::bigint, 'due', pg_temp.part(value, 4)) $$;

-- "3", or "3 draft 2026-11-24 17 -;edit 2026-11-25 - -"
create function pg_temp.type(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('typeId', split_part(value, ' ', 1)::bigint, 'done',
     coalesce((select jsonb_agg(pg_temp.tick(t))
       from unnest(string_to_array(substr(value, strpos(value || ' ', ' ') + 1), ';')) t where t <> ''), '[]')) $$;

-- "true 12 CHOSEN"; older ones lack the last
create function pg_temp.match(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('decided', split_part(value, ' ', 1)::boolean, 'groupId', pg_temp.part(value, 2)::bigint,
     'basis', case when split_part(value, ' ', 3) <> '' then pg_temp.part(value, 3)
       when pg_temp.part(value, 2) is not null then 'LATER' end) $$;

-- "INFORMATIONAL AWARENESS true because it asks how"
create function pg_temp.meaning(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('intent', split_part(value, ' ', 1), 'stage', split_part(value, ' ', 2),
     'pinned', split_part(value, ' ', 3)::boolean,
     'reason', coalesce(substring(value from '^\S+ \S+ \S+ (.*)$'), '')) $$;

-- "!name" when a person gave it, else "?name"
create function pg_temp.named(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('name', substr(value, 2), 'pinned', left(value, 1) = '!') $$;

-- "de", or "guessed de"
create function pg_temp.language(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('tag', nullif(regexp_replace(value, '^guessed ', ''), 'null'),
     'pinned', value !~ '^guessed ') $$;

-- "2026-12-25 Christmas Day"
create function pg_temp.holiday(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('day', left(value, 10), 'name', substr(value, 12)) $$;

-- "1 2 3 4 5"
create function pg_temp.week(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('days', to_jsonb(string_to_array(value, ' ')::int[])) $$;

-- "38.2 11.5"
create function pg_temp.chances(value text) returns jsonb language sql immutable as
$$ select jsonb_build_object('even', split_part(value, ' ', 1)::float8, 'spread', split_part(value, ' ', 2)::float8) $$;

create function pg_temp.converted(thing text, thing_key text, field text, value text) returns text
language sql immutable as
$$ select case
     when value is null or value like '{%' then value
     when thing = 'ARTICLE' and field like 'Step: %' then pg_temp.kept(pg_temp.tick(value))
     when thing = 'ARTICLE' and field = 'Type' then pg_temp.kept(pg_temp.type(value))
     when thing = 'MATCH' then pg_temp.kept(pg_temp.match(value))
     when thing = 'GROUP' and field = 'Intent' then pg_temp.kept(pg_temp.meaning(value))
     when thing = 'GROUP' and field = 'Name' then pg_temp.kept(pg_temp.named(value))
     when thing = 'LANGUAGE' and thing_key <> 'site' then pg_temp.kept(pg_temp.language(value))
     when thing = 'SITE' and field = 'Holiday' then pg_temp.kept(pg_temp.holiday(value))
     when thing = 'SITE' and field = 'Working week' then pg_temp.kept(pg_temp.week(value))
     when thing = 'STRENGTH' and field = 'Chances' then case when value <> '' then pg_temp.kept(pg_temp.chances(value)) end
     else value
   end $$;

update history_change
set from_value = pg_temp.converted(thing, thing_key, field, from_value),
  to_value = pg_temp.converted(thing, thing_key, field, to_value)
where reversible
  and (from_value is distinct from pg_temp.converted(thing, thing_key, field, from_value)
    or to_value is distinct from pg_temp.converted(thing, thing_key, field, to_value));

update history_change set field = 'Lead topic' where thing = 'TOPIC' and field = 'Focus';
