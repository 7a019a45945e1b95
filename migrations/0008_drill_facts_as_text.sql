-- What lists and filters need of a drill, ready to be sent: turning it into text took most of a search.
alter table drill_revision drop column facts;
alter table drill_revision add column facts text generated always as (
	(body - '{rungs,cues,faults,calls,prompts,praise,cautions,paths,success,spots,rotation,turn,explainSeconds,setup,sides,format,summary,ages,hazards,partners,needsRole,restByDesign,sports,live}'::text[])::text
) stored;
