-- Kit and limits as a team has them from a day on: what was planned or held before is played with what held then.
create table dated_setting (
	team_id text not null references team (id) on delete cascade,
	what text not null check (what in ('kit', 'limits')),
	since date not null,
	body jsonb not null,
	primary key (team_id, what, since)
);
insert into dated_setting (team_id, what, since, body)
	select team_id, 'kit', '1900-01-01', jsonb_agg(jsonb_strip_nulls(jsonb_build_object(
		'item', item, 'count', count, 'broken', nullif(broken, 0), 'kept', kept)) order by place, item)
	from kit group by team_id;
insert into dated_setting (team_id, what, since, body)
	select team_id, 'limits', '1900-01-01', body from limit_setting;
drop table kit;
drop table limit_setting;
create trigger setting_changed after insert or update or delete on dated_setting
	for each row execute function forget_summaries();

-- Another number with every change of what a team's practices are built from, and never one that was given before:
-- what was read of a team is as good as new until then.
create sequence team_version;
alter table team add column version bigint not null default nextval('team_version');
create or replace function forget_summaries() returns trigger language plpgsql as $$
begin
	update team set version = nextval('team_version') where id = coalesce(new.team_id, old.team_id);
	update practice set summary = null
	where team_id = coalesce(new.team_id, old.team_id) and state = 'planned' and summary is not null;
	return null;
end $$;
create or replace function forget_team_summaries() returns trigger language plpgsql as $$
begin
	update team set version = nextval('team_version') where id = new.id;
	update practice set summary = null
	where team_id = new.id and state = 'planned' and summary is not null;
	return null;
end $$;
drop trigger team_changed on team;
create trigger team_changed after update of body on team
	for each row execute function forget_team_summaries();
create trigger season_changed after insert or update or delete on season
	for each row execute function forget_summaries();

-- Drills that every practice is held against: those for every day, and warm-ups.
alter table drill_revision add column staple boolean generated always as (
	coalesce(body ->> 'frequency' = 'daily', false) or coalesce(body ->> 'family' = 'warm-up', false)
) stored;
create index staple_drills on drill_revision (team_id, drill_id) where staple;

-- What lists name a drill by, and the kit that it asks for, carried or standing, on every rung.
alter table drill_revision add column name text generated always as (body ->> 'name') stored;
alter table drill_revision add column asks jsonb generated always as (
	jsonb_path_query_array(body, '$.kit[*].item') || jsonb_path_query_array(body, '$.fixtures[*].item')
	|| jsonb_path_query_array(body, '$.rungs[*].set.kit[*].item')
	|| jsonb_path_query_array(body, '$.rungs[*].set.fixtures[*].item')
) stored;
