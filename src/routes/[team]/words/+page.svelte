<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import { sameValue } from '$core/base';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import { GLOSSARY, oneAndMany } from '$words';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/words';

	const say = useWords();

	let { data, form }: { data: PageData; form: ActionData } = $props();

	// What is typed stays until the stored words themselves change.
	let own: Record<string, string> = $derived({ ...data.words });
	let sheet: HTMLFormElement | undefined = $state();
	const said = (words: Record<string, string>) =>
		Object.fromEntries(Object.entries(words).filter(([, text]) => text.trim() !== ''));
	const isChanged = $derived(!sameValue(said(own), said(data.words)));
	const draft = new FormDraft<Record<string, string>>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => data.stamp,
		read: () => own,
		write: (words) => (own = words),
		isChanged: () => isChanged,
		reload: invalidateAll
	});
	const many = (word: string) => (own[word]?.trim() ? oneAndMany(own[word])[1] : '');
	const TITLE = say(texts.words);
	const INTRO = say(texts.yourOwnWordsStandInThe);
</script>

<Page team={data.team} current="words" title={TITLE} intro={INTRO} narrow>
	<Outcome
		misfit={form && 'misfit' in form ? form.misfit : null}
		saved={!!form && 'saved' in form && !isChanged}
		{draft}
		form={sheet}
	/>
	<DraftForm {draft} bind:form={sheet}>
		<ul>
			{#each GLOSSARY as { word, says } (word)}
				<li>
					<label for="word-{word}">{word}</label>
					<input
						class="typed"
						id="word-{word}"
						name={word}
						maxlength="60"
						value={own[word] ?? ''}
						oninput={(event) => (own = { ...own, [word]: event.currentTarget.value })}
					/>
					<span>{many(word)}</span>
					<p>{says}</p>
				</li>
			{/each}
		</ul>
		<Button type="submit">{say(texts.saveTheWords)}</Button>
	</DraftForm>
</Page>

<style>
	ul {
		border-top: 1px solid var(--ink);
		margin-bottom: 16px;
	}
	li {
		display: grid;
		grid-template-columns: 110px 220px 130px 1fr;
		gap: 2px 16px;
		align-items: baseline;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
	}
	label {
		font-weight: 650;
	}
	span,
	p {
		font-size: 13px;
		color: var(--ink-soft);
	}
	@media (max-width: 672px) {
		li {
			grid-template-columns: 110px 1fr;
		}
		span:empty {
			display: none;
		}
		span,
		p {
			grid-column: 2;
		}
	}
</style>
