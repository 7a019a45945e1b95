<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import FixCard from '$lib/components/scene/FixCard.svelte';
	import Fold from '$lib/components/page/Fold.svelte';
	import { stay } from '$lib/components/page/notice.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import type { Fix } from '$core/model/scene';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/scenes';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	let going: Fix | null = $state(null);
	const open = $derived(data.lines.filter(({ fix }) => fix.closed === undefined));
	const closed = $derived(data.lines.filter(({ fix }) => fix.closed !== undefined));
	const practices = $derived(
		data.practices.map(({ id, date, start }) => ({ id, name: `${dayWords(date)}, ${start}` }))
	);
	const href = (id: string) =>
		`/${data.team.id}/scenes/${id}?list=fixes&season=${encodeURIComponent(data.season)}`;
</script>

{#snippet doing(fix: Fix, action: 'tick' | 'open', text: string)}
	<div class="ways">
		<form method="POST" action="?/{action}" use:enhance={stay(say)}>
			<input type="hidden" name="season" value={data.season} />
			<input type="hidden" name="id" value={fix.id} />
			<button class="link">{text}</button>
		</form>
		<a class="link" href={href(fix.id)}>{say(texts.edit)}</a>
		<button class="link" onclick={() => (going = fix)}>{say(texts.remove)}</button>
	</div>
{/snippet}

<Page team={data.team} current="fixes" title={say(texts.fixList)} intro={say(texts.fixIntro)}>
	{#snippet ways()}<a class="link" href={href('new')}>{say(texts.drawAScene)}</a>{/snippet}
	<Outcome misfit={form && 'misfit' in form ? form.misfit : null} />
	{#if open.length === 0}
		<div class="none">
			<p><strong>{say(texts.noFixes)}</strong></p>
			<p>{say(texts.noFixesSays)}</p>
		</div>
	{:else}
		<h2>{say(texts.open, { count: open.length })}</h2>
		<ul>
			{#each open as line (line.fix.id)}
				<li>
					<FixCard {...line} {...data} team={data.team.id}>
						{#if practices.length > 0}
							<form method="POST" action="?/setUp" class="set-up" use:enhance={stay(say)}>
								<input type="hidden" name="season" value={data.season} />
								<input type="hidden" name="id" value={line.fix.id} />
								<label class="caption"
									>{say(texts.in)}
									<select name="practice" class="typed">
										{#each practices as { id, name } (id)}<option value={id}>{name}</option>{/each}
									</select>
								</label>
								<Button type="submit" size="small">{say(texts.setItUp)}</Button>
							</form>
							<p class="says">{say(texts.setUpSays)}</p>
						{:else}
							<p class="says">{say(texts.noPracticeToCome)}</p>
						{/if}
						{@render doing(line.fix, 'tick', say(texts.tick))}
					</FixCard>
				</li>
			{/each}
		</ul>
	{/if}
	{#if closed.length > 0}
		<Fold summary={say(texts.closed, { count: closed.length })}>
			<ul>
				{#each closed as line (line.fix.id)}
					<li>
						<FixCard {...line} {...data} team={data.team.id}>
							{@render doing(line.fix, 'open', say(texts.openAgain))}
						</FixCard>
					</li>
				{/each}
			</ul>
		</Fold>
	{/if}
</Page>
{#if going}
	<RemoveDialog
		what={going.name}
		says={say(texts.removeSays)}
		field="id"
		value={going.id}
		also={{ season: data.season }}
		onclose={() => (going = null)}
	/>
{/if}

<style>
	h2 {
		padding-bottom: 8px;
		font-size: 17px;
		font-weight: 750;
	}
	li {
		padding: 16px 0;
		border-top: 1px solid var(--ink);
	}
	.none {
		padding: 16px 0;
		border-top: 1px solid var(--ink);
		font-size: 15px;
	}
	.set-up {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: end;
	}
	.says {
		font-size: 13px;
		color: var(--ink-soft);
	}
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		padding-top: 4px;
	}
</style>
