-- What was done once to this data folder: a demo that was removed does not come back.
create table installation (
	step text primary key,
	done_at timestamptz not null default now()
);
