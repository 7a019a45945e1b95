-- Teams own everything: team_id is in every table and in every query.
create table team (
	id text primary key,
	body jsonb not null
);

create table season (
	team_id text not null references team (id) on delete cascade,
	id text not null,
	name text not null,
	first_day date not null,
	weeks int not null,
	primary key (team_id, id)
);

-- The only table with names of people: documents and events hold ids.
create table person (
	team_id text not null references team (id) on delete cascade,
	id text not null,
	kind text not null check (kind in ('player', 'adult')),
	place int not null,
	name text not null,
	number int,
	usually_late boolean not null default false,
	role text,
	units jsonb,
	days jsonb,
	restrictions jsonb,
	primary key (team_id, id)
);

create table person_unit (
	team_id text not null,
	person_id text not null,
	since date not null,
	unit text not null,
	primary key (team_id, person_id, since),
	foreign key (team_id, person_id) references person (team_id, id) on delete cascade
);

create table rating (
	team_id text not null,
	person_id text not null,
	skill text not null,
	since date not null,
	rating real not null,
	primary key (team_id, person_id, skill, since),
	foreign key (team_id, person_id) references person (team_id, id) on delete cascade
);

create table ground (
	team_id text not null references team (id) on delete cascade,
	id text not null,
	body jsonb not null,
	primary key (team_id, id)
);

create table kit (
	team_id text not null references team (id) on delete cascade,
	item text not null,
	count real not null,
	primary key (team_id, item)
);

-- What a team has set of the limits; the rest are the application's defaults.
create table limit_setting (
	team_id text primary key references team (id) on delete cascade,
	body jsonb not null
);

-- Revisions are never changed: a practice names the one that it was built from.
create table drill_revision (
	team_id text not null references team (id) on delete cascade,
	drill_id text not null,
	revision int not null,
	body jsonb not null,
	made_at timestamptz not null default now(),
	primary key (team_id, drill_id, revision)
);

create table practice (
	team_id text not null references team (id) on delete cascade,
	id text not null,
	season_id text not null,
	date date not null,
	start text not null,
	revision int not null,
	format text not null,
	body jsonb not null,
	primary key (team_id, id),
	foreign key (team_id, season_id) references season (team_id, id)
);
create index practice_by_date on practice (team_id, date, start);

-- Every edit once: one that is sent again is answered, not applied again.
create table practice_edit (
	team_id text not null,
	practice_id text not null,
	edit_id text not null,
	revision int not null,
	body jsonb not null,
	made_at timestamptz not null default now(),
	primary key (team_id, practice_id, edit_id),
	foreign key (team_id, practice_id) references practice (team_id, id) on delete cascade
);

-- What a practice gives each player by skill, written with the practice.
create table ledger (
	team_id text not null,
	practice_id text not null,
	period_id text not null,
	block_id text not null,
	drill_id text not null,
	drill_revision int not null,
	rung text,
	player_id text not null,
	unit text,
	date date not null,
	skill text not null,
	focus text not null check (focus in ('main', 'second')),
	seconds real not null,
	active_seconds real not null,
	turns real not null,
	state text not null check (state in ('planned', 'done')),
	foreign key (team_id, practice_id) references practice (team_id, id) on delete cascade
);
create index ledger_by_practice on ledger (team_id, practice_id);
create index ledger_by_skill on ledger (team_id, skill, date);
