<script lang="ts">
	import type { Team } from '$core/model/team';
	import type { Entry } from './entries';

	/** The squad as a table to type in: Enter goes to the next row, on the last one adds another. */
	let {
		entries = $bindable(),
		team,
		fault,
		onremove,
		onadd
	}: {
		entries: Entry[];
		team: Team;
		/** The row and the field that were refused. */
		fault: { key: string | undefined; field: string } | null;
		onremove: (entry: Entry) => void;
		onadd: () => void;
	} = $props();

	const positions = $derived([...new Set(team.positions ?? [])].join(', '));

	function change(index: number, set: Partial<Entry>) {
		entries = entries.with(index, { ...entries[index], ...set });
	}
	function rate(index: number, skill: string, typed: string) {
		change(index, { ratings: { ...entries[index].ratings, [skill]: typed } });
	}
	function down(event: KeyboardEvent, index: number, column: string) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		const next = entries[index + 1];
		if (next) document.getElementById(`${next.key}-${column}`)?.focus();
		else onadd();
	}
	const isWrong = (entry: Entry, field: string) =>
		fault?.key === entry.key && fault.field === field ? true : undefined;
	const typed = (event: Event) => (event.currentTarget as HTMLInputElement).value;
</script>

<div class="scroll">
	<table>
		<thead>
			<tr>
				<th scope="col">No.</th>
				<th scope="col">Name</th>
				<th scope="col">Unit</th>
				<th scope="col" title={positions}>Positions, best first</th>
				{#each team.skillAreas as { id, name } (id)}<th scope="col" class="rating">{name}</th
					>{/each}
				<th scope="col">Late</th>
				<th scope="col"><span class="unseen">Remove</span></th>
			</tr>
		</thead>
		<tbody>
			{#each entries as entry, index (entry.key)}
				<tr>
					<td>
						<input
							id="{entry.key}-number"
							class="short"
							inputmode="numeric"
							aria-label="Number of {entry.name || 'a new player'}"
							aria-invalid={isWrong(entry, 'number')}
							value={entry.number}
							oninput={(event) => change(index, { number: typed(event) })}
							onkeydown={(event) => down(event, index, 'number')}
						/>
					</td>
					<td>
						<input
							id="{entry.key}-name"
							class="name"
							maxlength="200"
							aria-label="Name"
							aria-invalid={isWrong(entry, 'name')}
							value={entry.name}
							oninput={(event) => change(index, { name: typed(event) })}
							onkeydown={(event) => down(event, index, 'name')}
						/>
					</td>
					<td>
						<select
							aria-label="Unit of {entry.name}"
							value={entry.unit}
							onchange={(event) => change(index, { unit: event.currentTarget.value })}
						>
							<option value="">none</option>
							{#each team.units as { id, name } (id)}<option value={id}>{name}</option>{/each}
						</select>
					</td>
					<td>
						<input
							id="{entry.key}-positions"
							aria-label="Positions of {entry.name}"
							placeholder={positions}
							value={entry.positions}
							oninput={(event) => change(index, { positions: typed(event) })}
							onkeydown={(event) => down(event, index, 'positions')}
						/>
					</td>
					{#each team.skillAreas as { id, name } (id)}
						<td class="rating">
							<input
								id="{entry.key}-{id}"
								class="short"
								inputmode="decimal"
								aria-label="{name} of {entry.name}"
								aria-invalid={isWrong(entry, `ratings.${id}`)}
								value={entry.ratings[id] ?? ''}
								oninput={(event) => rate(index, id, typed(event))}
								onkeydown={(event) => down(event, index, id)}
							/>
						</td>
					{/each}
					<td>
						<input
							type="checkbox"
							aria-label="{entry.name} is usually late"
							checked={entry.usuallyLate}
							onchange={(event) => change(index, { usuallyLate: event.currentTarget.checked })}
						/>
					</td>
					<td>
						<button class="link" aria-label="Remove {entry.name}" onclick={() => onremove(entry)}
							>Remove</button
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.scroll {
		position: relative;
		overflow-x: auto;
		border-top: 1px solid var(--ink);
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th {
		text-align: left;
		font-size: 12px;
		font-weight: 700;
		padding: 6px 6px 4px;
		white-space: nowrap;
	}
	td {
		padding: 0 2px;
		border-bottom: 1px solid var(--rule);
	}
	input:not([type='checkbox']),
	select {
		width: 100%;
		min-width: 90px;
		min-height: 30px;
		border: 0;
		background: transparent;
		padding: 2px 4px;
		font: inherit;
		font-size: 13px;
		color: var(--ink);
	}
	input:hover,
	input:focus,
	select:hover {
		background: #fff;
	}
	input::placeholder {
		color: transparent;
	}
	input:focus::placeholder {
		color: var(--ink-soft);
	}
	input[aria-invalid] {
		box-shadow: inset 0 0 0 2px var(--stop);
	}
	input[type='checkbox'] {
		display: block;
		margin: 0 auto;
		width: 20px;
		height: 20px;
		accent-color: var(--action);
	}
	input.short:not([type='checkbox']) {
		min-width: 42px;
		width: 52px;
		text-align: right;
	}
	input.name:not([type='checkbox']) {
		min-width: 170px;
		font-weight: 600;
	}
	th.rating,
	td.rating {
		text-align: right;
	}
	.link {
		font-size: 13px;
		padding: 0 4px;
	}
	.unseen {
		position: absolute;
		clip-path: inset(50%);
	}
</style>
