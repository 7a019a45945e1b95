-- Words of a drill by weight, for search; and what lists and filters need, without the long texts.
alter table drill_revision add column words tsvector generated always as (
	setweight(to_tsvector('simple'::regconfig, coalesce(body ->> 'name', '')), 'A')
	|| setweight(to_tsvector('simple'::regconfig, coalesce(body ->> 'summary', '')), 'B')
	|| setweight(jsonb_to_tsvector('simple'::regconfig, body, '["string"]'::jsonb), 'D')
) stored;
alter table drill_revision add column facts jsonb generated always as (
	body - '{rungs,cues,faults,calls,prompts,praise,cautions,paths,success,spots,rotation,turn,explainSeconds,setup,sides,format,summary,ages,hazards,partners,needsRole,restByDesign,sports,live}'::text[]
) stored;
create index drill_words on drill_revision using gin (words);
create index ledger_by_drill on ledger (team_id, drill_id, date);
