-- A practice is planned, was held, or is cancelled: one fact, not the sum of others.
alter table practice add column state text not null default 'planned'
	check (state in ('planned', 'held', 'cancelled'));
update practice set state = 'held' where held;
alter table practice drop column held;

-- What lists show of a practice, as it was played when it was saved; null where it has to be played again.
alter table practice add column summary jsonb;

-- What a practice is built from has changed: what is planned with it is played again. What was held stays.
create function forget_summaries() returns trigger language plpgsql as $$
begin
	update practice set summary = null
	where team_id = coalesce(new.team_id, old.team_id) and state = 'planned' and summary is not null;
	return null;
end $$;
create trigger person_changed after insert or update or delete on person
	for each row execute function forget_summaries();
create trigger unit_changed after insert or update or delete on person_unit
	for each row execute function forget_summaries();
create trigger rating_changed after insert or update or delete on rating
	for each row execute function forget_summaries();
create trigger ground_changed after insert or update or delete on ground
	for each row execute function forget_summaries();
create trigger kit_changed after insert or update or delete on kit
	for each row execute function forget_summaries();
create trigger limits_changed after insert or update or delete on limit_setting
	for each row execute function forget_summaries();
create trigger drill_changed after insert on drill_revision
	for each row execute function forget_summaries();
create trigger shelf_changed after insert or delete on archived_drill
	for each row execute function forget_summaries();

create function forget_team_summaries() returns trigger language plpgsql as $$
begin
	update practice set summary = null
	where team_id = new.id and state = 'planned' and summary is not null;
	return null;
end $$;
create trigger team_changed after update on team
	for each row execute function forget_team_summaries();
