<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import { skillName, type SkillAreas } from '$core/model/skill';
	import { called, howMany } from '$words';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';

	/** What is said of a drill: jobs and cues by spot, faults with their mends, calls, praise, cautions. */
	let { drill, areas }: { drill: Drill; areas: SkillAreas } = $props();

	const say = useWords();
	const cuesAt = (spot: string | undefined) =>
		drill.cues
			.filter((cue) => cue.spot === spot)
			.map(({ say: words, young }) => ({
				words,
				young: young ? say(texts.toTheYoung, { young }) : ''
			}));
	const everyone = $derived(cuesAt(undefined));
	const needs = $derived([
		...drill.kit.map(({ item, count, per, or = [] }) => {
			const items = [howMany(count, item), ...or.map((each) => say(texts.orElse, { item: each }))];
			return say(per === 'copy' ? texts.forCopy : texts.forPlayer, { items: items.join(' ') });
		}),
		...(drill.fixtures ?? []).map(({ item, count }) =>
			say(texts.standing, { items: howMany(count, item) })
		),
		...(drill.needsRole ?? []).map(({ role, count }) => howMany(count, role)),
		adultsWords(drill.coaches)
	]);
	const kinds = $derived(
		[
			say(texts.effort, { effort: drill.effort }),
			drill.contact > 0 ? say(texts.contact, { contact: drill.contact }) : say(texts.noContact),
			called(drill.frequency, say),
			drill.live ? say(texts.live) : '',
			drill.partners === 'like' ? say(texts.likePartners) : '',
			drill.partners === 'unlike' ? say(texts.unlikePartners) : '',
			drill.ages ? say(texts.agesTo, drill.ages) : '',
			drill.restByDesign ? say(texts.restsByDesign) : ''
		].filter(Boolean)
	);
	const times = $derived(
		[
			setupWords(drill.setup),
			drill.explainSeconds ? say(texts.sToExplain, { seconds: drill.explainSeconds }) : '',
			drill.hazards?.swing ? say(texts.mClearOfASwing, { metres: drill.hazards.swing }) : '',
			drill.hazards?.flight ? say(texts.mClearWhereBallsFly, { metres: drill.hazards.flight }) : '',
			drill.hazards?.looksUp ? say(texts.theyLookUpIntoTheSky) : ''
		].filter(Boolean)
	);
	function setupWords(setup: Drill['setup']): string {
		if (!setup) return '';
		const { seconds, adults } = setup;
		return adults
			? say(texts.sToLayOutBy, { seconds, count: adults })
			: say(texts.sToLayOut, { seconds });
	}
	function adultsWords({ min, ideal }: Drill['coaches']): string {
		if (ideal === 0) return say(texts.noAdult);
		return min === ideal
			? say(texts.adultsOfCopy, { min })
			: say(texts.adultsOfCopyTo, { min, ideal });
	}
	/** What a full turn costs a body, and on which spots. */
	const loads = $derived(
		(drill.turn.loads ?? []).map(({ kind, count, spots }) =>
			spots
				? say(texts.loadOn, { count, kind, spots: spots.join(', ') })
				: say(texts.loadOf, { count, kind })
		)
	);
	/** Where players go after the turns that end otherwise, those who play on last. */
	const otherwise = $derived.by(() => {
		const { result } = drill.rotation;
		if (!result) return '';
		const goes = Object.entries(result.moves).map(([from, to]) =>
			say(from === to ? texts.toTheBack : texts.goesTo, { from, to })
		);
		const stays = drill.spots.filter(
			({ id, by }) => !Object.hasOwn(result.moves, id) && by !== 'marker'
		);
		const plays = stays.map(({ id }) => say(texts.playsOn, { from: id }));
		return say(texts.endsOtherwise, {
			percent: Math.round(result.share * 100),
			moves: [...goes, ...plays].join(', ')
		});
	});
	/** Who holds a spot: how many, in which role, of which unit. */
	function holders({ count, upTo, role, by, unit }: Drill['spots'][number]): string {
		const many = upTo ? `${count}–${upTo}` : count;
		const whom =
			by === 'adult'
				? say(texts.byAdult)
				: by === 'either'
					? say(texts.byEither)
					: by === 'marker'
						? say(texts.byMarker)
						: '';
		return [`${many} ${called(role, say)}`, whom, unit ?? ''].filter(Boolean).join(', ');
	}
	const counting = $derived.by(() => {
		const { success } = drill;
		if (!success) return '';
		const { counts, judge, by, window, ignores } = success;
		const parts = [
			by ? say(texts.countsBy, { counts, role: called(by, say) }) : counts,
			say(texts.judgedBy, { judge: called(judge, say) })
		];
		if (window) {
			const [from, to] = window.map((share) => Math.round(share * 100));
			parts.push(say(texts.shouldBe, { from, to }));
		}
		const not = ignores ? `; ${say(texts.notCounted, { ignored: ignores.join(', ') })}` : '';
		return parts.join(', ') + not;
	});
</script>

{#if drill.cautions.length > 0}
	<section class="cautions">
		<h2>{say(texts.cautions)}</h2>
		{#each drill.cautions as caution, index (index)}<p>{caution}</p>{/each}
	</section>
{/if}
<section>
	<h2>{say(texts.spots)}</h2>
	<ul class="spots">
		{#each drill.spots as spot (spot.id)}
			<li>
				<strong>{spot.id}</strong>
				<span>{holders(spot)}</span>
				{#if spot.job}<p>{spot.job}</p>{/if}
				{#each cuesAt(spot.id) as cue, index (index)}
					<p class="cue">“{cue.words}” <span>{cue.young}</span></p>
				{/each}
			</li>
		{/each}
	</ul>
	{#if otherwise}<p class="otherwise">{otherwise}</p>{/if}
</section>
{#if everyone.length > 0}
	<section>
		<h2>{say(texts.cuesForEveryone)}</h2>
		{#each everyone as cue, index (index)}
			<p class="cue">“{cue.words}” <span class="soft">{cue.young}</span></p>
		{/each}
	</section>
{/if}
{#if drill.questions && drill.questions.length > 0}
	<section>
		<h2>{say(texts.questions)}</h2>
		{#each drill.questions as { ask, hope }, index (index)}
			<p><strong>{ask}</strong> <span class="soft">{hope}</span></p>
		{/each}
	</section>
{/if}
{#if drill.faults && drill.faults.length > 0}
	<section>
		<h2>{say(texts.whatGoesWrong)}</h2>
		<ul>
			{#each drill.faults as fault, index (index)}
				<li>
					{fault.seen}: <span class="cue">“{fault.say}”</span>
					{#if fault.rung}<span class="soft"
							>{say(texts.orTheRung, {
								name: drill.rungs.find(({ id }) => id === fault.rung)?.name
							})}</span
						>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}
<section class="facts">
	<p>
		<strong>{say(texts.trains)}</strong>
		{drill.skills
			.map(({ skill, spots }) =>
				spots
					? say(texts.learntOn, { skill: skillName(skill, areas), spots: spots.join(', ') })
					: skillName(skill, areas)
			)
			.join(', ') || say(texts.nothingThatIsCounted)}
	</p>
	<p><strong>{say(texts.is)}</strong> {kinds.join(', ')}</p>
	{#if drill.calls}<p><strong>{say(texts.playersCall)}</strong> {drill.calls.join(', ')}</p>{/if}
	{#if drill.prompts}<p>
			<strong>{say(texts.calledAtRandom)}</strong>
			{drill.prompts.join(', ')}
		</p>{/if}
	{#if drill.praise}<p><strong>{say(texts.praise)}</strong> {drill.praise.join(', ')}</p>{/if}
	{#if counting}
		<p>
			<strong>{say(texts.counts)}</strong>
			{counting}
		</p>
	{/if}
	{#if loads.length > 0}<p><strong>{say(texts.aTurnCosts)}</strong> {loads.join(', ')}</p>{/if}
	<p>
		<strong>{say(texts.needs)}</strong>
		{drill.ground.length} × {drill.ground.width} m, {needs.join(', ')}
	</p>
	{#if times.length > 0}<p><strong>{say(texts.takes)}</strong> {times.join(', ')}</p>{/if}
</section>

<style>
	section {
		padding-bottom: 14px;
	}
	h2 {
		font-size: 14px;
		font-weight: 700;
		border-bottom: 1px solid var(--rule);
		padding-bottom: 3px;
		margin-bottom: 5px;
	}
	.spots {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
		gap: 8px 20px;
	}
	li,
	p {
		font-size: 14px;
		line-height: 1.4;
	}
	.spots span,
	.soft {
		color: var(--ink-soft);
		font-size: 13px;
	}
	.cue {
		font-weight: 600;
	}
	.cautions p {
		border-left: 4px solid var(--wait);
		padding-left: 8px;
	}
</style>
