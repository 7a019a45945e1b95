<script lang="ts">
	import { Checkbox } from 'carbon-components-svelte';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/plan';
	import type { Briefs, Shown } from './planning';
	import { whyWords, type Known } from './planWords';

	/** Practices to come with what each is to hold; what is ticked stays when the rest is planned again. */
	let {
		team,
		practices,
		briefs,
		known,
		isLocked,
		onlock
	}: {
		team: string;
		practices: readonly { id: string; date: string; minutes: number; isBuilt: boolean }[];
		briefs: Briefs;
		known: Known;
		isLocked: (practice: string, drill: string) => boolean;
		onlock: (practice: string, drills: readonly string[], isLocked: boolean) => void;
	} = $props();

	const say = useWords();
	const nameOf = ({ drill, rung }: Shown) => {
		const found = known.drills.get(drill);
		const step = found?.rungs.find(({ id }) => id === rung)?.name;
		return `${found?.name ?? drill}${step ? ` · ${step}` : ''}`;
	};
</script>

<ol class="briefs">
	{#each practices as { id, date, minutes, isBuilt } (id)}
		{@const brief = briefs.get(id) ?? []}
		{@const day = dayWords(date)}
		<li>
			<div class="head">
				<a href="/{team}/practices/{id}">{day}</a>
				<span>{say(texts.minutes, { minutes })}</span>
				{#if isBuilt}
					<span class="built">{say(texts.built)}</span>
				{:else if brief.length > 0}
					<Checkbox
						hideLabel
						labelText={say(texts.lockAll, { day })}
						checked={brief.every(({ drill }) => isLocked(id, drill))}
						on:check={({ detail }) =>
							onlock(
								id,
								brief.map(({ drill }) => drill),
								detail
							)}
					/>
				{/if}
			</div>
			{#if !isBuilt && brief.length === 0}
				<p class="none">{say(texts.nothing)}</p>
			{/if}
			{#if brief.length > 0}
				<ul>
					{#each brief as item (item.drill)}
						<li class:locked={isLocked(id, item.drill)}>
							<Checkbox
								hideLabel
								labelText={say(texts.lock, { name: nameOf(item), day })}
								checked={isLocked(id, item.drill)}
								on:check={({ detail }) => onlock(id, [item.drill], detail)}
							/>
							<b>{item.minutes}</b>
							<span class="name">{nameOf(item)}</span>
							<span class="why">{whyWords(item.why ?? [], known, say)}</span>
						</li>
					{/each}
				</ul>
			{/if}
		</li>
	{/each}
</ol>

<style>
	.briefs {
		columns: 2 420px;
		column-gap: 36px;
	}
	.briefs > li {
		break-inside: avoid;
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
	}
	.head {
		display: flex;
		gap: 12px;
		align-items: center;
		font-size: 13.5px;
		min-height: 32px;
	}
	.head a {
		font-weight: 700;
		color: var(--action);
	}
	.head span,
	.why,
	.none {
		color: var(--ink-soft);
		font-size: 13px;
	}
	.built {
		font-weight: 650;
	}
	.head :global(.bx--form-item) {
		margin-left: auto;
		flex: none;
	}
	ul li {
		display: grid;
		grid-template-columns: 24px 26px auto 1fr;
		gap: 6px;
		align-items: center;
		min-height: 32px;
		font-size: 14px;
	}
	b {
		text-align: right;
		font-variant-numeric: tabular-nums;
	}
	.locked .name {
		font-weight: 650;
	}
	.why {
		text-align: right;
	}
	@media (max-width: 600px) {
		ul li {
			grid-template-columns: 24px 26px 1fr;
			min-height: 44px;
		}
		.why {
			grid-column: 3;
			text-align: left;
			padding-bottom: 4px;
		}
	}
</style>
