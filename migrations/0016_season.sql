-- What was decided for a season: phases, patterns, games, days off, targets, floors, courses.
alter table season add column plan jsonb not null default '{}';

-- The slot of a pattern that a practice was made for: it is filled, wherever the practice has moved to.
alter table practice add column slot text;

-- What a practice costs each player, by id: minutes times effort, and minutes of hard contact.
alter table practice add column cost jsonb;

-- Why a practice is cancelled, and how often it was cancelled or called back: calendars are told of each.
alter table practice add column cancelled_reason text, add column turnings int not null default 0;

-- Clean tries on a rung, by whom: the squad (no id), a unit, a group of the practice, a player.
create table tally (
	team_id text not null,
	practice_id text not null,
	drill_id text not null,
	rung text,
	judge text not null check (judge in ('outcome', 'decision', 'form', 'talk', 'effort')),
	whom text not null check (whom in ('squad', 'unit', 'group', 'player')),
	whom_id text,
	clean int not null check (clean >= 0),
	tries int not null check (tries >= clean and tries > 0),
	unique nulls not distinct (team_id, practice_id, drill_id, rung, judge, whom, whom_id),
	foreign key (team_id, practice_id) references practice (team_id, id) on delete cascade
);

-- Where a coach decided otherwise than the tallies advise, and why.
create table ruling (
	team_id text not null references team (id) on delete cascade,
	drill_id text not null,
	whom text not null check (whom in ('squad', 'unit', 'group', 'player')),
	whom_id text,
	date date not null,
	rung text,
	advice text not null check (advice in ('up', 'down', 'stay')),
	chosen text not null check (chosen in ('up', 'down', 'stay')),
	reason text not null,
	unique nulls not distinct (team_id, drill_id, whom, whom_id, date)
);

-- What a coach has said of a skill that is due: first of all, not now, or on a day.
create table due_push (
	team_id text not null,
	season_id text not null,
	skill text not null,
	unit text,
	push text not null check (push in ('up', 'off', 'day')),
	day date,
	since date not null,
	unique nulls not distinct (team_id, season_id, skill, unit),
	foreign key (team_id, season_id) references season (team_id, id) on delete cascade
);

-- Targets and games change nothing of how a practice plays; only its floors are held against it.
create function note_season_plan() returns trigger language plpgsql as $$
begin
	update team set version = nextval('team_version') where id = new.team_id;
	if old.plan -> 'floors' is distinct from new.plan -> 'floors' then
		update practice set summary = null
		where team_id = new.team_id and state = 'planned' and summary is not null;
	end if;
	return null;
end $$;
drop trigger season_changed on season;
create trigger season_changed after insert or delete on season
	for each row execute function forget_summaries();
create trigger season_moved after update of id, first_day, weeks on season
	for each row when (old.id <> new.id or old.first_day <> new.first_day or old.weeks <> new.weeks)
	execute function forget_summaries();
create trigger season_planned after update of name, plan on season
	for each row execute function note_season_plan();

-- The ledger by unit in place of player: what pages of a season are added up from, a fifth of the rows or less.
-- Only players who are in the team now count, each with the unit that is theirs now.
create table given (
	team_id text not null,
	practice_id text not null,
	state text not null,
	unit text,
	drill_id text not null,
	rung text,
	side text,
	skill text not null,
	focus text not null,
	opposed boolean,
	seconds float8 not null,
	active_seconds float8 not null,
	turns float8 not null,
	foreign key (team_id, practice_id) references practice (team_id, id) on delete cascade
);
create index given_by_practice on given (team_id, practice_id);

-- Adds up the ledger of some practices of a team anew; of all where none are named.
create function sum_given(of_team text, of_practices text[]) returns void language sql as $$
	delete from given where team_id = of_team
		and (of_practices is null or practice_id = any(of_practices));
	insert into given
	select l.team_id, l.practice_id, l.state, u.unit, l.drill_id, l.rung, l.side, l.skill, l.focus, l.opposed,
		sum(l.seconds::float8), sum(l.active_seconds::float8), sum(l.turns::float8)
	from ledger l
	join person p on p.team_id = l.team_id and p.id = l.player_id
	left join (
		select distinct on (person_id) person_id, unit from person_unit
		where team_id = of_team order by person_id, since desc
	) u on u.person_id = l.player_id
	where l.team_id = of_team and (of_practices is null or l.practice_id = any(of_practices))
	group by l.team_id, l.practice_id, l.state, u.unit, l.drill_id, l.rung, l.side, l.skill, l.focus, l.opposed;
$$;

create function sum_changed_ledger() returns trigger language plpgsql as $$
begin
	perform sum_given(team_id, array_agg(distinct practice_id)) from changed group by team_id;
	return null;
end $$;
create trigger ledger_added after insert on ledger referencing new table as changed
	for each statement execute function sum_changed_ledger();
create trigger ledger_removed after delete on ledger referencing old table as changed
	for each statement execute function sum_changed_ledger();

create function sum_changed_people() returns trigger language plpgsql as $$
begin
	perform sum_given(team_id, null) from changed group by team_id;
	return null;
end $$;
create trigger person_added after insert on person referencing new table as changed
	for each statement execute function sum_changed_people();
create trigger person_removed after delete on person referencing old table as changed
	for each statement execute function sum_changed_people();
create trigger unit_added after insert on person_unit referencing new table as changed
	for each statement execute function sum_changed_people();
create trigger unit_updated after update on person_unit referencing new table as changed
	for each statement execute function sum_changed_people();
create trigger unit_removed after delete on person_unit referencing old table as changed
	for each statement execute function sum_changed_people();

select sum_given(id, null) from team;

-- Lists show what a practice costs: all are played again.
update practice set summary = null;
