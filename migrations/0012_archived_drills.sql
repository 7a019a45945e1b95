-- Drills that are not on the shelf any more; practices that used them keep them.
create table archived_drill (
	team_id text not null references team (id) on delete cascade,
	drill_id text not null,
	primary key (team_id, drill_id)
);
