-- Practices without a day: a new practice can start with the periods of one.
create table template (
	team_id text not null references team (id) on delete cascade,
	id text not null,
	name text not null,
	body jsonb not null,
	primary key (team_id, id),
	unique (team_id, name)
);
