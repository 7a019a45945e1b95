<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import { skillName, type SkillAreas } from '$core/model/skill';
	import { howMany } from '$core/words';
	import { useWording } from '../page/wording.svelte';

	/** What is said of a drill: jobs and cues by spot, faults with their mends, calls, praise, cautions. */
	let { drill, areas }: { drill: Drill; areas: SkillAreas } = $props();

	const w = useWording();
	const cuesAt = (spot: string | undefined) =>
		drill.cues.filter((cue) => cue.spot === spot).map(({ say }) => say);
	const everyone = $derived(cuesAt(undefined));
	const needs = $derived([
		...drill.kit.map(({ item, count, per }) => `${howMany(count, item)} ${w(`a ${per}`)}`),
		...(drill.fixtures ?? []).map(({ item, count }) => `${howMany(count, item)} standing`),
		...(drill.needsRole ?? []).map(({ role, count }) => howMany(count, role)),
		adultsWords(drill.coaches)
	]);
	const kinds = $derived(
		[
			`effort ${drill.effort}`,
			drill.contact > 0 ? `contact ${drill.contact}` : 'no contact',
			drill.frequency,
			drill.live ? 'live' : '',
			drill.partners === 'like' || drill.partners === 'unlike' ? `${drill.partners} partners` : '',
			drill.ages ? `ages ${drill.ages.from} to ${drill.ages.to}` : '',
			drill.restByDesign ? 'rests by design' : ''
		].filter(Boolean)
	);
	const times = $derived(
		[
			drill.setup
				? `${drill.setup.seconds} s to lay out${drill.setup.adults ? ` by ${howMany(drill.setup.adults, 'adult')}` : ''}`
				: '',
			drill.explainSeconds ? `${drill.explainSeconds} s to explain` : '',
			drill.hazards?.swing ? `${drill.hazards.swing} m clear of a swing` : '',
			drill.hazards?.flight ? `${drill.hazards.flight} m clear where balls fly` : '',
			drill.hazards?.looksUp ? 'they look up into the sky' : ''
		].filter(Boolean)
	);
	function adultsWords({ min, ideal }: Drill['coaches']): string {
		if (ideal === 0) return w('no adult');
		const many = min === ideal ? howMany(min, 'adult') : `${min} to ${howMany(ideal, 'adult')}`;
		return w(`${many} a copy`);
	}
	const success = $derived(drill.success);
</script>

{#if drill.cautions.length > 0}
	<section class="cautions">
		<h2>Cautions</h2>
		{#each drill.cautions as caution, index (index)}<p>{caution}</p>{/each}
	</section>
{/if}
<section>
	<h2>{w('Spots')}</h2>
	<ul class="spots">
		{#each drill.spots as { id, role, count, upTo, by, unit, job } (id)}
			<li>
				<strong>{id}</strong>
				<span
					>{count}{upTo ? `–${upTo}` : ''}
					{w(role)}{by === 'adult'
						? `, ${w('an adult')}`
						: by === 'either'
							? `, ${w('an adult or a player')}`
							: ''}{unit ? `, ${unit}` : ''}</span
				>
				{#if job}<p>{job}</p>{/if}
				{#each cuesAt(id) as cue, index (index)}<p class="cue">“{cue}”</p>{/each}
			</li>
		{/each}
	</ul>
</section>
{#if everyone.length > 0}
	<section>
		<h2>{w('Cues for everyone')}</h2>
		{#each everyone as cue, index (index)}<p class="cue">“{cue}”</p>{/each}
	</section>
{/if}
{#if drill.faults && drill.faults.length > 0}
	<section>
		<h2>What goes wrong</h2>
		<ul>
			{#each drill.faults as { seen, say, rung }, index (index)}
				<li>
					{seen}: <span class="cue">“{say}”</span>
					{#if rung}<span class="soft"
							>{w('or the rung')} {drill.rungs.find(({ id }) => id === rung)?.name}</span
						>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}
<section class="facts">
	<p>
		<strong>{w('Trains')}</strong>
		{drill.skills.map(({ skill }) => skillName(skill, areas)).join(', ') ||
			w('nothing that is counted')}
	</p>
	<p><strong>{w('Is')}</strong> {w(kinds.join(', '))}</p>
	{#if drill.calls}<p><strong>{w('Players call')}</strong> {drill.calls.join(', ')}</p>{/if}
	{#if drill.prompts}<p>
			<strong>Called at random</strong>
			{drill.prompts.join(', ')}
		</p>{/if}
	{#if drill.praise}<p><strong>Praise</strong> {drill.praise.join(', ')}</p>{/if}
	{#if success}
		<p>
			<strong>Counts</strong>
			{success.counts}{success.by ? ` ${w(`by the ${success.by}`)}` : ''}, judged by {success.judge}{success.window
				? `, ${Math.round(success.window[0] * 100)} to ${Math.round(success.window[1] * 100)} % should`
				: ''}{success.ignores ? `; not ${success.ignores.join(', ')}` : ''}
		</p>
	{/if}
	<p>
		<strong>Needs</strong>
		{drill.ground.length} × {drill.ground.width} m, {needs.join(', ')}
	</p>
	{#if times.length > 0}<p><strong>{w('Takes')}</strong> {w(times.join(', '))}</p>{/if}
</section>

<style>
	section {
		padding-bottom: 14px;
	}
	h2 {
		font-size: 14px;
		font-weight: 700;
		border-bottom: 1px solid var(--rule);
		padding-bottom: 3px;
		margin-bottom: 5px;
	}
	.spots {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
		gap: 8px 20px;
	}
	li,
	p {
		font-size: 14px;
		line-height: 1.4;
	}
	.spots span,
	.soft {
		color: var(--ink-soft);
		font-size: 13px;
	}
	.cue {
		font-weight: 600;
	}
	.cautions p {
		border-left: 4px solid var(--wait);
		padding-left: 8px;
	}
</style>
