<script lang="ts">
	import type { SeasonFigures } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import { dayWords } from '../page/dates';
	import { percent } from '../tape/words';
	import { wholeName, type Called } from './names';
	import { lineKey, type Opened } from './view';

	/** What the season comes to, in five numbers; each opens what it is made of. */
	let {
		figures,
		dueDay,
		lackers,
		called,
		onopen
	}: {
		figures: SeasonFigures;
		/** The day that all that is owed is told of. */
		dueDay: string;
		/** Players who lack what the others had; null while it is added up. */
		lackers: number | null;
		called: Called;
		onopen: (at: Opened) => void;
	} = $props();

	const say = useWords();
</script>

<dl>
	<div>
		<dt>{say(texts.practicesHeld)}</dt>
		<dd>
			<button type="button" onclick={() => onopen({})}
				>{say(texts.heldOf, { held: figures.held, count: figures.practices })}</button
			>
		</dd>
	</div>
	{#if figures.met !== null}
		<div>
			<dt>{say(texts.ofWhatIsDue, { day: dayWords(dueDay) })}</dt>
			<dd><button type="button" onclick={() => onopen({})}>{percent(figures.met)}</button></dd>
		</div>
		<div>
			<dt>
				{figures.most
					? say(texts.owesMost, { minutes: Math.round(figures.most.owedMinutes) })
					: say(texts.owed)}
			</dt>
			<dd>
				{#if figures.most}
					<button
						type="button"
						onclick={() => figures.most && onopen({ line: lineKey(figures.most) })}
						>{wholeName(figures.most, called, say)}</button
					>
				{:else}
					{say(texts.nothingOwed)}
				{/if}
			</dd>
		</div>
	{/if}
	{#if figures.gap}
		<div>
			<dt>{say(texts.longestGap, { name: wholeName(figures.gap, called, say) })}</dt>
			<dd>
				<button type="button" onclick={() => figures.gap && onopen({ line: lineKey(figures.gap) })}
					>{say(texts.days, { days: figures.gap.days })}</button
				>
			</dd>
		</div>
	{/if}
	<div>
		<dt>{say(texts.playersLack, { count: lackers ?? 0 })}</dt>
		<dd><a href="#lacks">{lackers ?? '…'}</a></dd>
	</div>
</dl>

<style>
	dl {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 34px;
	}
	div {
		display: flex;
		flex-direction: column-reverse;
	}
	dd,
	button,
	a {
		font-size: 19px;
		font-weight: 750;
		font-stretch: 112%;
		color: var(--ink);
		line-height: 1.25;
		min-height: 24px;
	}
	button {
		padding: 0;
		border: 0;
		background: none;
		font-family: inherit;
		cursor: pointer;
	}
	button,
	a {
		text-decoration: underline;
		text-decoration-thickness: 1px;
		text-decoration-color: var(--rule);
		text-underline-offset: 4px;
	}
	button:hover,
	a:hover {
		text-decoration-color: var(--ink);
	}
	dt {
		font-size: 12.5px;
		color: var(--ink-soft);
	}
</style>
