-- A practice that was held stays held, whoever came: it is a fact of its own.
alter table practice add column held boolean not null default false;
update practice p set held = exists (select 1 from ledger l where l.team_id = p.team_id
	and l.practice_id = p.id and l.state = 'done');

-- From a day on a player may be of no unit again, and not rated: null ends what held before.
alter table person_unit alter column unit drop not null;
alter table rating alter column rating drop not null;

-- Teams of the demo stand still on their day; for every other team today is today.
update team set body = body || '{"today": "2027-04-06"}'::jsonb
	where id in ('saltmarsh', 'harbour-minis', 'skerryside')
		and exists (select 1 from installation where step = 'demo');

-- Somebody may have come to a practice that was held though nobody planned with them.
alter table attendance drop constraint attendance_state_check;
alter table attendance add constraint attendance_state_check check (state in ('here', 'late', 'absent'));

-- What was sent with a form, once: sent again because its answer was lost, it is answered and not done again.
create table submission (
	id text primary key,
	answer jsonb not null,
	made_at timestamptz not null default now()
);
