<script lang="ts">
	import { misfitText } from '$core/base';
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drills';
	import type { ActionData, PageData } from './$types';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const drills = $derived(form && 'drills' in form ? form.drills : null);
	const STATES = {
		new: say(texts.isNew),
		same: say(texts.isHereAlreadyTheSame),
		clash: say(texts.isAnotherHere)
	};
	const count = (state: string) => drills?.filter((drill) => drill.state === state).length ?? 0;
	const INTRO = say(texts.drillsTravel);
</script>

<Page team={data.team} current="drills" title={say(texts.drillsAsFiles)} intro={INTRO} narrow>
	{#snippet ways()}
		<a href="/{data.team.id}/drills/files/download" download="drills.zip"
			>{say(texts.allDrillsAsAZip)}</a
		>
		<a href="/{data.team.id}/drills">{say(texts.backToTheShelf)}</a>
	{/snippet}
	<Outcome {misfit} />
	<form method="POST" action="?/look" enctype="multipart/form-data" use:enhance={stay(say)}>
		<label class="file">
			{say(texts.drillOrAZipOfDrills)}
			<input type="file" name="file" accept=".json,.zip,application/json,application/zip" />
		</label>
		<Button type="submit" size="small" kind="tertiary">{say(texts.lookAtTheFile)}</Button>
		{#if drills}
			<p class="sum">
				{say(texts.newDrillsThatAreHereAlready, {
					count: count('new'),
					same: count('same'),
					clash: count('clash'),
					faulty: count('fault')
				})}
			</p>
			<ul>
				{#each drills as drill, index (index)}
					<li class={drill.state}>
						<strong>{drill.name || drill.file}</strong>
						{#if drill.state === 'fault'}
							<span class="fault">{drill.file}: {drill.misfit && misfitText(drill.misfit)}</span>
						{:else}
							<span>{drill.id} {STATES[drill.state]}</span>
						{/if}
						{#if drill.state === 'clash'}
							<select
								class="typed"
								name="choice {drill.id}"
								aria-label={say(texts.whatBecomesOf, { name: drill.name })}
							>
								<option value="leave">{say(texts.leaveItOut)}</option>
								<option value="revise">{say(texts.takeItAsANewRevision)}</option>
								<option value="copy">{say(texts.takeItAsAnotherDrill)}</option>
							</select>
						{/if}
					</li>
				{/each}
			</ul>
			{#if count('new') + count('clash') > 0}
				<Button type="submit" size="small" formaction="?/store">{say(texts.importTheDrills)}</Button
				>
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
