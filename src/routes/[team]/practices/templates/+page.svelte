<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { dayWords } from '$lib/components/page/dates';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/practices';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const base = $derived(`/${data.team.id}/practices`);
	let practice = $state(untrack(() => data.from ?? data.days[0]?.id ?? ''));
	let name = $state('');
	const fault = (field: string) => (form?.misfit?.path[0] === field ? form.misfit.message : '');
</script>

<Page
	team={data.team}
	current="practices/templates"
	title={say(texts.templates)}
	intro={say(texts.thePeriodsOfPracticeWithoutIts)}
>
	<ul>
		{#each data.templates as template (template.id)}
			<li>
				<strong>{template.name}</strong>
				<span>{say(texts.min, { minutes: template.minutes })}</span>
				<span>{template.periods.map((period) => period.name).join(', ')}</span>
				<form method="POST" action="?/remove" use:enhance={stay(say)}>
					<input type="hidden" name="template" value={template.id} />
					<a
						href="{base}/new?template={template.id}"
						aria-label={say(texts.newPracticeFrom, { name: template.name })}
						>{say(texts.newPractice)}</a
					>
					<button class="link" aria-label={say(texts.removeNamed, { name: template.name })}
						>{say(texts.remove)}</button
					>
				</form>
			</li>
		{:else}
			<li class="empty">{say(texts.thereIsNoneYetKeepPractice)}</li>
		{/each}
	</ul>
	{#if data.days.length > 0}
		<h2>{say(texts.savePracticeAsATemplate)}</h2>
		<form class="keep" method="POST" action="?/keep" use:enhance={stay(say)}>
			<Select
				id="practice"
				name="practice"
				labelText={say(texts.practice)}
				bind:selected={practice}
				invalid={!!fault('practice')}
				invalidText={fault('practice')}
			>
				{#each data.days as { id, date } (id)}
					<SelectItem value={id} text={dayWords(date)} />
				{/each}
			</Select>
			<TextInput
				id="name"
				name="name"
				labelText={say(texts.called)}
				required
				maxlength={200}
				bind:value={name}
				invalid={!!fault('name')}
				invalidText={fault('name')}
			/>
			<Button type="submit" size="field">{say(texts.saveAsTemplate)}</Button>
		</form>
	{/if}
</Page>

<style>
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding: 22px 0 8px;
	}
	ul {
		border-top: 1px solid var(--ink);
	}
	li {
		display: grid;
		grid-template-columns: 1fr 70px 2.4fr auto;
		gap: 4px 16px;
		align-items: baseline;
		padding: 9px 0;
		border-bottom: 1px solid var(--rule);
	}
	li.empty {
		display: block;
	}
	li form {
		display: flex;
		gap: 14px;
		align-items: baseline;
	}
	li a,
	li .link {
		font-weight: 600;
		font-size: 13px;
		color: var(--action);
		padding: 0;
	}
	.keep {
		display: grid;
		grid-template-columns: minmax(180px, 260px) minmax(180px, 320px) auto;
		gap: 16px;
		align-items: end;
		justify-content: start;
	}
	@media (max-width: 672px) {
		li,
		.keep {
			grid-template-columns: 1fr;
		}
	}
</style>
