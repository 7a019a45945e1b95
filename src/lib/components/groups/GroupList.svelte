<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { meanRating, type GroupOutput } from '$core/grouping';
	import type { Group } from '$core/model/practice';
	import type { Context } from '$core/practice';
	import Bib from '../bib/Bib.svelte';
	import { bibLook } from '../bib/bibs';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/groups';
	import { swapped } from './swapping';

	type Worth = Omit<GroupOutput, 'groups'>;

	/**
	 * Groups side by side with who is in them. Pressing a player keeps them where they are; two change places
	 * by drag, or with S and Enter, and what that does is said before it is done.
	 */
	let {
		groups,
		players,
		context,
		pinned,
		isMade,
		worthOf,
		onpin,
		onswap
	}: {
		groups: readonly Group[];
		players: readonly (readonly string[])[];
		context: Context;
		pinned: readonly string[];
		/** Whether these are new groups, not those that there are. */
		isMade: boolean;
		/** What groups of these players are worth; null where they cannot be weighed. */
		worthOf: (groups: readonly (readonly string[])[]) => Worth | null;
		onpin: (id: string) => void;
		onswap: (groups: string[][]) => void;
	} = $props();

	const say = useWords();
	/** Who is to change places, and with whom as it looks now. */
	let picked: string | null = $state(null);
	let over: string | null = $state(null);
	let done = $state('');
	/** Players are tapped, not dragged: the first to go, the other, and then a button. */
	let isTapping = $state(false);

	const nameOf = (id: string) => context.playerById.get(id)?.name ?? id;
	const strength = (ids: readonly string[], digits: number) =>
		meanRating(ids.flatMap((id) => context.playerById.get(id) ?? []))?.toFixed(digits) ?? '';
	const skill = (id: string) => context.team.skillAreas.find((each) => each.id === id)?.name ?? id;
	const worth = $derived(worthOf(players));
	const spreads = $derived(
		Object.entries(worth?.spread ?? {}).map(([id, value]) => `${skill(id)} ${value.toFixed(2)}`)
	);
	const total = ({ spread }: Worth) =>
		Object.values(spread)
			.reduce((sum, value) => sum + value, 0)
			.toFixed(2);
	/** What a swap of the two would do, in words. */
	const effect = $derived.by(() => {
		if (picked === null) return isTapping ? say(texts.tapTheFirst) : done;
		const names = { one: nameOf(picked), other: over === null ? '' : nameOf(over) };
		if (over === null || over === picked)
			return say(isTapping ? texts.tapTheOther : texts.swapWith, names);
		if (players.some((ids) => ids.includes(picked ?? '') && ids.includes(over ?? '')))
			return say(texts.swapSameGroup, names);
		const after = worthOf(swapped(players, picked, over));
		if (!worth || !after) return '';
		return say(texts.swapEffect, {
			...names,
			spreadBefore: total(worth),
			spreadAfter: total(after),
			metBefore: worth.repeats,
			metAfter: after.repeats
		});
	});

	function pick(id: string) {
		picked = id;
		over = null;
		done = '';
	}
	function leave() {
		picked = over = null;
		isTapping = false;
	}
	function swap() {
		if (picked !== null && over !== null && picked !== over) {
			const next = swapped(players, picked, over);
			if (next.some((ids, index) => ids.some((id) => !players[index].includes(id)))) {
				done = say(texts.swapped, { one: nameOf(picked), other: nameOf(over) });
				onswap(next);
			}
		}
		leave();
	}
	const dragOf = (id: string): DragHandlers => ({
		onmove({ clientX, clientY }) {
			if (picked !== id) pick(id);
			const below = document
				.elementFromPoint(clientX, clientY)
				?.closest<HTMLElement>('[data-player]');
			over = below?.dataset.player ?? null;
		},
		ondrop: swap,
		oncancel: leave
	});
	function press(id: string) {
		if (isTapping && picked === null) return pick(id);
		if (picked === null) return onpin(id);
		over = id;
		if (!isTapping) swap();
	}
	function down(event: KeyboardEvent, id: string) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key.toLowerCase() === 's' && picked === null) {
			event.preventDefault();
			pick(id);
		} else if (event.key === 'Escape' && picked !== null) {
			event.preventDefault();
			event.stopPropagation();
			leave();
		}
	}
</script>

<div class="groups">
	{#each groups as group, index (group.id)}
		<section aria-label={say(texts.group, { letter: bibLook(group.bib).letter })}>
			<h3>
				<Bib bib={group.bib} size={22} />
				{say(texts.players, { indexCount: players[index]?.length ?? 0 })}
				<span>{strength(players[index] ?? [], 2)}</span>
			</h3>
			<ul>
				{#each players[index] ?? [] as id (id)}
					<li>
						<button
							type="button"
							data-player={id}
							class:picked={id === picked}
							class:over={picked !== null && id === over && id !== picked}
							aria-pressed={pinned.includes(id)}
							title={pinned.includes(id) ? say(texts.staysInThisGroup) : say(texts.keepInThisGroup)}
							onclick={() => press(id)}
							onkeydown={(event) => down(event, id)}
							onfocus={() => picked !== null && (over = id)}
							{@attach dragged(() => dragOf(id))}
						>
							<span class="pin" aria-hidden="true">{pinned.includes(id) ? '●' : ''}</span>
							{nameOf(id)}
							<span class="rating">{strength([id], 1)}</span>
						</button>
					</li>
				{/each}
			</ul>
		</section>
	{/each}
</div>
<div class="swap">
	<Button
		kind="tertiary"
		size="small"
		disabled={picked !== null && (over === null || over === picked)}
		on:click={() => (isTapping ? swap() : (isTapping = true))}
		>{isTapping ? say(texts.swapThem) : say(texts.swapTwo)}</Button
	>
	<p role="status">{effect}</p>
</div>
<p class="facts">
	{#if spreads.length > 0}{say(texts.largestLessSmallestGroupMean, {
			spreads: spreads.join(', ')
		})}{/if}
	{#if worth}{say(texts.playersOfGroupHaveBeenTogether, { repeats: worth.repeats })}{/if}
	{#if !isMade}{say(texts.asTheyAreNow)}{/if}
	{say(texts.pressPlayer)}
	{say(texts.howToSwap)}
</p>

<style>
	.groups {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
		gap: 14px 16px;
	}
	h3 {
		display: flex;
		align-items: center;
		gap: 7px;
		font-size: 13px;
		font-weight: 700;
		border-bottom: 1px solid var(--ink);
		padding-bottom: 4px;
	}
	h3 span {
		margin-left: auto;
		font-weight: 500;
	}
	button {
		display: grid;
		grid-template-columns: 12px 1fr auto;
		gap: 3px;
		width: 100%;
		min-height: 26px;
		align-items: center;
		padding: 1px 0;
		border: 0;
		border-bottom: 1px solid var(--rule);
		background: transparent;
		color: var(--ink);
		font: inherit;
		font-size: 13px;
		text-align: left;
		cursor: pointer;
		/* A finger moves the page up and down, and a player to the side. */
		touch-action: pan-y;
		user-select: none;
	}
	button.picked {
		outline: 2px solid var(--action);
		outline-offset: -2px;
	}
	button.over {
		outline: 2px dashed var(--action);
		outline-offset: -2px;
	}
	.swap {
		display: flex;
		gap: 12px;
		align-items: center;
		padding-top: 12px;
	}
	.swap p {
		font-size: 13px;
		font-weight: 650;
	}
	button:hover,
	button[aria-pressed='true'] {
		background: var(--chalk-deep);
	}
	.pin {
		color: var(--action);
	}
	.rating {
		color: var(--ink-soft);
	}
	.facts {
		font-size: 13px;
		line-height: 1.4;
		padding-top: 4px;
	}
</style>
