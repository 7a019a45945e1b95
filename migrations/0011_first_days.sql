-- A restriction has a first day: one that holds now holds from today on, so that no past practice is at fault.
update person set restrictions = (
	select jsonb_agg(case
		when r ? 'since' or r ->> 'until' < current_date::text then r
		else r || jsonb_build_object('since', current_date::text)
	end order by n)
	from jsonb_array_elements(restrictions) with ordinality as each (r, n)
)
where jsonb_typeof(restrictions) = 'array' and jsonb_array_length(restrictions) > 0;
