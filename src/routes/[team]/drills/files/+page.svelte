<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import type { ActionData, PageData } from './$types';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const drills = $derived(form && 'drills' in form ? form.drills : null);
	const STATES = { new: 'is new', same: 'is here already, the same', clash: 'is another here' };
	const count = (state: string) => drills?.filter((drill) => drill.state === state).length ?? 0;
	const INTRO =
		'Drills travel as fieldplan/drill@1, plain JSON: one file a drill, or many in a zip. Nothing is stored before you say so.';
</script>

<Page team={data.team} current="drills" title="Drills as files" intro={INTRO} narrow>
	{#snippet ways()}
		<a href="/{data.team.id}/drills/files/download" download="drills.zip"
			>{w('All drills as a zip')}</a
		>
		<a href="/{data.team.id}/drills">{w('Back to the shelf')}</a>
	{/snippet}
	<Outcome {misfit} />
	<form method="POST" action="?/look" enctype="multipart/form-data" use:enhance={stay}>
		<label class="file">
			{w('A drill, or a zip of drills')}
			<input type="file" name="file" accept=".json,.zip,application/json,application/zip" />
		</label>
		<Button type="submit" size="small" kind="tertiary">Look at the file</Button>
		{#if drills}
			<p class="sum">
				{w(
					`${count('new')} new drills, ${count('same')} that are here already, ${count('clash')} to decide, ${count('fault')} with faults that are left out.`
				)}
			</p>
			<ul>
				{#each drills as drill, index (index)}
					<li class={drill.state}>
						<strong>{drill.name || drill.file}</strong>
						{#if drill.state === 'fault'}
							<span class="fault">{drill.file}: {drill.misfit?.path} {drill.misfit?.message}</span>
						{:else}
							<span>{drill.id} {w(STATES[drill.state])}</span>
						{/if}
						{#if drill.state === 'clash'}
							<select
								class="typed"
								name="choice {drill.id}"
								aria-label="What becomes of {drill.name}"
							>
								<option value="leave">leave it out</option>
								<option value="revise">{w('take it as a new revision')}</option>
								<option value="copy">{w('take it as another drill')}</option>
							</select>
						{/if}
					</li>
				{/each}
			</ul>
			{#if count('new') + count('clash') > 0}
				<Button type="submit" size="small" formaction="?/store">{w('Import the drills')}</Button>
			{/if}
		{/if}
	</form>
</Page>

<style>
	form {
		display: grid;
		gap: 12px;
		justify-items: start;
	}
	.file {
		display: grid;
		gap: 4px;
		font-size: 13px;
	}
	.sum {
		font-weight: 650;
	}
	ul {
		width: 100%;
		border-top: 1px solid var(--ink);
	}
	li {
		display: grid;
		grid-template-columns: 1fr 2fr 240px;
		gap: 4px 16px;
		align-items: center;
		min-height: 38px;
		border-bottom: 1px solid var(--rule);
		font-size: 14px;
	}
	.fault {
		color: var(--stop);
		grid-column: 2 / -1;
		overflow-wrap: anywhere;
	}
	@media (max-width: 672px) {
		li {
			grid-template-columns: 1fr;
			padding: 6px 0;
		}
		.fault {
			grid-column: 1;
		}
	}
</style>
