<script lang="ts">
	/** A line or lines to type in: what is typed stands as it is until it is left. */
	let {
		label,
		hint,
		value,
		many = false,
		quiet = false,
		onset
	}: {
		label: string;
		hint?: string;
		value: string;
		/** Several lines; one where it is not said. */
		many?: boolean;
		/** The label is for screen readers alone: what stands above says it. */
		quiet?: boolean;
		onset: (typed: string) => void;
	} = $props();

	let typed: string | null = $state(null);

	function write(event: Event & { currentTarget: HTMLInputElement | HTMLTextAreaElement }) {
		typed = event.currentTarget.value;
		onset(typed);
	}
	const leave = () => (typed = null);
	/** Enter would send the form around it. */
	function enter(event: KeyboardEvent) {
		if (event.key === 'Enter') event.preventDefault();
	}
</script>

<label class="caption">
	<span
		><span class:unseen={quiet}>{label}</span>
		{#if hint}<em>{hint}</em>{/if}</span
	>
	{#if many}
		<textarea class="typed" rows="3" value={typed ?? value} oninput={write} onblur={leave}
		></textarea>
	{:else}
		<input
			class="typed"
			maxlength="2000"
			value={typed ?? value}
			oninput={write}
			onblur={leave}
			onkeydown={enter}
		/>
	{/if}
</label>

<style>
	em {
		font-style: normal;
	}
</style>
