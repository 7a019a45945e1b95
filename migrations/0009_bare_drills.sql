-- What a list holds of a drill: all but its ladder and its words, which sizes need neither of, ready to be
-- sent. And a number that no two revisions ever share, in whatever team: what was read can be kept by it.
alter table drill_revision drop column facts;
alter table drill_revision add column number bigint generated always as identity;
alter table drill_revision add column bare text generated always as (
	((body - '{faults,calls,prompts,praise,success,paths}'::text[])
		|| '{"cues":[],"cautions":[],"rungs":[]}')::text
) stored;
