<script lang="ts">
	import { type Evaluation, onRung, waysOfAdults, waysOfGroups, type Way } from '$core/playing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/handOut';
	import Bib from '../bib/Bib.svelte';
	import { callerOf, spanOf } from './handOut';

	/** A card for each adult or each group: its way through the practice by the clock. */
	let {
		evaluation,
		of,
		numbersOnly
	}: { evaluation: Evaluation; of: 'adults' | 'groups'; numbersOnly: boolean } = $props();

	type Run = Way<unknown>['runs'][number];

	const say = useWords();
	const call = $derived(callerOf(evaluation, numbersOnly));
	const { context, practice } = $derived(evaluation);
	/** Cues that fit a card. */
	const CUES = 3;
	const zoneOf = ({ copy }: Run) => context.zoneById.get(copy.zoneId)?.name ?? copy.zoneId;
	const cuesOf = ({ drill, block }: Run) =>
		drill
			? onRung(drill, block.climb[0].rung)
					.cues.slice(0, CUES)
					.map((cue) => cue.say)
					.join(' · ')
			: '';
	const peopleOf = ({ players }: Run) =>
		players.length === practice.expected.length
			? say(texts.everybody, { count: players.length })
			: players.map(call).join(', ');
	const cards = $derived(
		of === 'adults'
			? waysOfAdults(evaluation).map(({ who, runs }) => ({
					...{ key: who.id, bib: null, title: who.name, says: who.role, runs }
				}))
			: waysOfGroups(evaluation).map(({ who, runs }) => ({
					...{ key: `${who.period.id} ${who.group.id}`, bib: who.group.bib, runs },
					title: say(texts.groupOf, { name: who.period.name }),
					says: [
						...(who.leader === undefined ? [] : [say(texts.leader, { name: call(who.leader) })]),
						who.players.map(call).join(', ')
					].join(' · ')
				}))
	);
</script>

{#each cards as { key, bib, title, says, runs } (key)}
	<section class="card" aria-label={title}>
		<h2>
			{#if bib !== null}<Bib {bib} size={22} />{/if}
			{title}
		</h2>
		<p>{says}</p>
		<table>
			<thead>
				<tr>
					<th scope="col">{say(texts.clock)}</th>
					<th scope="col">{say(texts.drillAndZone)}</th>
					<th scope="col">{say(of === 'adults' ? texts.withWhom : texts.adult)}</th>
					{#if of === 'adults'}<th scope="col">{say(texts.lookAt)}</th>{/if}
				</tr>
			</thead>
			<tbody>
				{#each runs as run, index (index)}
					<tr>
						<th scope="row">{spanOf(evaluation, run, say)}</th>
						<td><strong>{run.drill?.name ?? ''}</strong>, {zoneOf(run)}</td>
						{#if of === 'adults'}
							<td>
								{#each run.groups as { bib: worn, id } (id)}<Bib bib={worn} size={14} />{/each}
								{peopleOf(run)}
							</td>
							<td>{runs[index - 1]?.block === run.block ? '' : cuesOf(run)}</td>
						{:else}
							<td>{run.adults.map(call).join(', ')}</td>
						{/if}
					</tr>
				{/each}
			</tbody>
		</table>
	</section>
{:else}
	<p>{say(texts.none)}</p>
{/each}
