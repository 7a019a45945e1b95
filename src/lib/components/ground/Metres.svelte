<script lang="ts">
	/** A number to type in, told of when it is left or Enter is pressed; what is no number goes back. */
	let {
		id,
		label,
		value,
		unit = 'm',
		least,
		most,
		wrong = false,
		quiet = false,
		onset
	}: {
		id: string;
		label: string;
		value: number | undefined;
		unit?: string;
		least?: number;
		most?: number;
		wrong?: boolean;
		/** The label is for screen readers alone: what stands beside says it. */
		quiet?: boolean;
		onset: (value: number | undefined) => void;
	} = $props();

	/** Enter takes the number; it does not send the form around it. */
	function enter(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		set(event.currentTarget);
	}
	function set(input: HTMLInputElement) {
		const typed = input.value.trim().replace(',', '.');
		const next = typed === '' ? undefined : Number(typed);
		const isOut = next !== undefined && !(next >= (least ?? -1e4) && next <= (most ?? 1e4));
		if (isOut) input.value = value === undefined ? '' : String(value);
		else onset(next);
	}
</script>

<label class="caption" for={id}>
	<span class:unseen={quiet}>{label}</span>
	<span class="field">
		<input
			class="typed"
			{id}
			inputmode="decimal"
			autocomplete="off"
			aria-invalid={wrong || undefined}
			value={value ?? ''}
			onchange={(event) => set(event.currentTarget)}
			onkeydown={enter}
		/>
		{unit}
	</span>
</label>

<style>
	.field {
		white-space: nowrap;
		display: flex;
		gap: 5px;
		align-items: baseline;
		font-size: 13px;
	}
	.typed {
		width: 100%;
		min-height: 30px;
		text-align: right;
	}
</style>
