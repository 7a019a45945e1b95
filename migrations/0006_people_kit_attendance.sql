-- What a coach knows of a player, and what an adult may lead and supervise.
alter table person add column birth_year int;
alter table person add column leads boolean not null default false;
alter table person add column note text;
alter table person add column skills jsonb;
alter table person add column ages jsonb;

-- Kit that is broken is not planned with.
alter table kit add column broken real not null default 0;
alter table kit add column kept text;
alter table kit add column place int not null default 0;

-- The order of a team's grounds: the first is the one that a new practice is on.
alter table ground add column place int not null default 0;

-- Who was not there on time, by practice: a row only where somebody was late or absent.
create table attendance (
	team_id text not null,
	practice_id text not null,
	person_id text not null,
	state text not null check (state in ('late', 'absent')),
	minutes int,
	reason text,
	primary key (team_id, practice_id, person_id),
	foreign key (team_id, practice_id) references practice (team_id, id) on delete cascade,
	foreign key (team_id, person_id) references person (team_id, id) on delete cascade
);
