<script lang="ts">
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/field';

	/** What the marks of a drawing mean. */
	const say = useWords();
</script>

<ul aria-label={say(texts.marks)}>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"><circle cx="12" cy="8" r="4" /></svg>{say(
			texts.worker
		)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"
			><path class="line" d="M6 2h4l2 3l2-3h4v12H6z" /></svg
		>{say(texts.opponent)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"><circle class="line" cx="12" cy="8" r="5.5" /></svg
		>{say(texts.feeder)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"><path class="line" d="M12 2l6 11H6z" /></svg>{say(
			texts.helper
		)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"
			><path class="line thin" d="M2 8H19" /><circle cx="20" cy="8" r="2.5" /></svg
		>{say(texts.ballInFlight)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"><path class="run" d="M3 8H21" /></svg>{say(
			texts.run
		)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"><path class="carry" d="M3 8H22" /></svg>{say(
			texts.ballCarried
		)}
	</li>
	<li>
		<svg viewBox="0 0 24 16" aria-hidden="true"><path class="move" d="M2 12Q12 0 22 12" /></svg
		>{say(texts.toTheNextSpotAfterThe)}
	</li>
</ul>

<style>
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
	}
	li {
		display: flex;
		align-items: center;
		gap: 5px;
		font-size: 12.5px;
	}
	svg {
		width: 24px;
		height: 16px;
	}
	circle {
		fill: var(--ink);
	}
	.line {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.6;
	}
	.thin {
		stroke-width: 1;
	}
	.run {
		fill: none;
		stroke: var(--help);
		stroke-width: 4;
		stroke-linecap: round;
	}
	.carry {
		fill: none;
		stroke: var(--action);
		stroke-width: 3.4;
		stroke-linecap: round;
		stroke-dasharray: 0 5.5;
	}
	.move {
		fill: none;
		stroke: var(--ink-soft);
		stroke-width: 1.3;
		stroke-dasharray: 0.5 3;
		stroke-linecap: round;
	}
</style>
