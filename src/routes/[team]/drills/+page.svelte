<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { toContext } from '$core/practice';
	import type { Facet } from '$core/shelf';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import { betterWords } from '$lib/components/shelf/better';
	import { fitOf } from '$lib/components/shelf/fits';
	import { obstacleWords } from '$lib/components/shelf/obstacles';
	import { skillName } from '$lib/components/squad/skills';
	import { dayWords } from '$lib/components/ui/dates';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const w = useWording();
	const MINUTES = 12;
	let search: HTMLFormElement | undefined = $state();
	let timer: ReturnType<typeof setTimeout> | undefined;

	const plan = $derived({
		practice: data.here.practice,
		context: toContext(data.here.surroundings)
	});
	/** Lines with how they would run here; without words to search for, the best fit first. */
	const lines = $derived.by(() => {
		const byId = new Map(plan.context.shelf.map((drill) => [drill.id, drill]));
		const fitted = data.lines.map((line) => {
			const drill = byId.get(line.drill.id);
			const fit = drill && line.obstacles.length === 0 ? fitOf(plan, drill, MINUTES) : null;
			return { ...line, fit, summary: drill?.summary ?? '' };
		});
		if (data.words !== '') return fitted;
		return fitted.toSorted((a, b) => (b.fit?.score ?? -3) - (a.fit?.score ?? -3));
	});

	const skill = (id: string) => skillName(id, data.team);
	const CONTACT = ['none', 'a touch', 'light', 'hard', 'full'];
	/** The choices of the form: what they are called, and their values in words. */
	const CHOICES: readonly {
		key: Facet['key'];
		name: string;
		any: string;
		of: (v: string) => string;
	}[] = [
		{ key: 'skill', name: 'Skill', any: 'any', of: skill },
		{ key: 'family', name: 'Family', any: 'any', of: (value) => value },
		{ key: 'frequency', name: 'How often', any: 'any', of: (value) => value },
		{ key: 'effort', name: 'Effort at most', any: '10', of: (value) => value },
		{ key: 'contact', name: 'Contact at most', any: 'any', of: (value) => CONTACT[Number(value)] },
		{
			key: 'unused',
			name: 'Not used for',
			any: 'any time',
			of: (value) => (value === '1' ? '1 practice' : `${value} practices`)
		}
	];
	const countsOf = (key: Facet['key']) =>
		data.facets.find((facet) => facet.key === key)?.counts ?? [];
	const chosen = (key: Facet['key']) => String((data.filter as Record<string, unknown>)[key] ?? '');
	const expected = $derived(data.here.practice.expected.length);
	const intro = $derived(
		data.here.isPlanned
			? `${data.fitting} of ${data.found} drills can run on ${dayWords(data.here.practice.date)} with ${expected} players and ${data.here.practice.adults.length} adults.`
			: `${data.fitting} of ${data.found} drills can run with all ${expected} players.`
	);

	/** Words are searched for a moment after the last letter. */
	function later() {
		clearTimeout(timer);
		timer = setTimeout(() => search?.requestSubmit(), 250);
	}
</script>

<Page team={data.team} current="drills" title="Drills" {intro}>
	{#snippet ways()}
		<a href="/{data.team.id}/drills/files">{w('Drills as files')}</a>
		<Button size="small" href="/{data.team.id}/drills/new">{w('New drill')}</Button>
	{/snippet}
	<form
		bind:this={search}
		data-sveltekit-keepfocus
		data-sveltekit-noscroll
		data-sveltekit-replacestate
	>
		<label class="words">
			{w('Words')}
			<input
				name="words"
				type="search"
				maxlength="200"
				value={data.words}
				placeholder={w('name, cue, kit …')}
				oninput={later}
			/>
		</label>
		{#each CHOICES as { key, name, any, of } (key)}
			<label>
				{w(name)}
				<select name={key} value={chosen(key)} onchange={() => search?.requestSubmit()}>
					<option value="">{any}</option>
					{#each countsOf(key) as { value, count } (value)}
						<option {value}>{w(of(value))} ({count})</option>
					{/each}
				</select>
			</label>
		{/each}
	</form>
	<ul>
		{#each lines as { drill, summary, fit, obstacles, lastUsed, unusedFor } (drill.id)}
			{@const better = fit ? betterWords(fit) : ''}
			<li class:off={!fit || fit.score < 0}>
				<a href="/{data.team.id}/drills/{encodeURIComponent(drill.id)}">{drill.name}</a>
				<span class="skills"
					>{drill.skills
						.filter(({ focus }) => focus === 'main')
						.map(({ skill: id }) => skill(id))
						.join(', ')}</span
				>
				<span class="fit"
					>{w(fit ? fit.words : obstacles.map(obstacleWords).join('; '))}{#if better}<br /><em
							>{w(better)}</em
						>{/if}</span
				>
				<span class="soft">{drill.ground.length} × {drill.ground.width} m</span>
				<span class="soft">effort {drill.effort}</span>
				<span class="soft"
					>{lastUsed === null
						? w('not used yet')
						: unusedFor === 0
							? w('in the last practice')
							: w(unusedFor === 1 ? '1 practice ago' : `${unusedFor} practices ago`)}</span
				>
				<p>{summary}</p>
			</li>
		{:else}
			<li class="empty">
				{w('No drill is so.')} <a href="?">{w('Show all drills')}</a>
			</li>
		{/each}
	</ul>
	{#if data.found > lines.length}
		<p class="more">{w(`The best ${lines.length} of ${data.found}: add a word to see others.`)}</p>
	{/if}
</Page>

<style>
	form {
		display: grid;
		grid-template-columns: 1.6fr repeat(6, 1fr);
		gap: 8px 14px;
		padding-bottom: 12px;
		border-bottom: 1px solid var(--ink);
	}
	label {
		display: grid;
		gap: 2px;
		font-size: 12px;
		color: var(--ink-soft);
		min-width: 0;
	}
	input,
	select {
		min-height: 34px;
		min-width: 0;
		border: 0;
		border-bottom: 1px solid var(--ink-soft);
		background: #fff;
		font: inherit;
		font-size: 14px;
		color: var(--ink);
		padding: 2px 8px;
	}
	input::placeholder {
		color: var(--ink-soft);
		opacity: 1;
	}
	li {
		display: grid;
		grid-template-columns: 1.3fr 1fr 2.2fr 0.8fr 0.5fr 0.9fr;
		gap: 0 16px;
		align-items: baseline;
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 14px;
	}
	li.empty {
		display: block;
		font-size: 15px;
		padding: 18px 0;
	}
	a {
		font-weight: 700;
		font-size: 15px;
		color: var(--action);
	}
	.fit {
		font-weight: 600;
	}
	.fit em {
		font-style: normal;
		font-weight: 400;
		font-size: 13px;
		color: var(--ink-soft);
	}
	.off .fit {
		font-weight: 400;
		color: var(--wait-ink);
	}
	.soft,
	.skills {
		font-size: 13px;
	}
	.soft,
	li p,
	.more {
		color: var(--ink-soft);
		font-size: 13px;
	}
	li p {
		grid-column: 1 / -1;
	}
	.more {
		padding-top: 10px;
	}
	@media (max-width: 900px) {
		form {
			grid-template-columns: 1fr 1fr;
		}
		.words {
			grid-column: 1 / -1;
		}
		li {
			grid-template-columns: 1fr 1fr 1fr;
		}
		li a,
		.fit {
			grid-column: 1 / -1;
		}
		.skills {
			display: none;
		}
	}
</style>
