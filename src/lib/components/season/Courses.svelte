<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import { sameValue, type Misfit } from '$core/base';
	import type { Course } from '$core/model/season';
	import { courseStanding, type RungRun } from '$core/season';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import texts from '$texts/ladders';

	/** Courses: what somebody works through from practice to practice, and how far they are. */
	let {
		season,
		courses,
		shelf,
		units,
		runs,
		stamp,
		misfit,
		saved
	}: {
		season: string;
		courses: readonly Course[];
		shelf: readonly { id: string; name: string; rungs: readonly { id: string; name: string }[] }[];
		units: readonly { id: string; name: string }[];
		runs: readonly RungRun[];
		stamp: string;
		misfit: Misfit | null | undefined;
		saved: boolean;
	} = $props();

	const say = useWords();
	let typed: Course[] = $derived([...courses]);
	let made = 0;
	let sheet: HTMLFormElement | undefined = $state();
	const isChanged = $derived(!sameValue(typed, [...courses]));
	const draft = new FormDraft<Course[]>({
		say,
		about: untrack(() => `${page.url.pathname}#courses`),
		stamp: () => stamp,
		read: () => typed,
		write: (kept) => (typed = kept),
		isChanged: () => isChanged,
		reload: invalidateAll
	});
	const drills = $derived(new Map(shelf.map((drill) => [drill.id, drill])));

	const change = (index: number, course: Course) => (typed = typed.with(index, course));
	const setStep = (index: number, k: number, step: Course['steps'][number]) =>
		change(index, { ...typed[index], steps: typed[index].steps.with(k, step) });

	function add() {
		const [first] = shelf;
		if (!first) return;
		made += 1;
		typed = [
			...typed,
			{ id: `new-course-${made}`, name: say(texts.newCourse), steps: [{ drill: first.id }] }
		];
	}
	const called = ({ drill, rung }: Course['steps'][number]) => {
		const own = drills.get(drill);
		const name = own?.rungs.find(({ id }) => id === rung)?.name;
		return [own?.name ?? drill, name].filter(Boolean).join(', ');
	};
	function standing({ steps, unit }: Course): string {
		const own = runs.filter((run) => unit === undefined || run.unit === unit);
		const done = courseStanding(steps, own);
		return done >= steps.length
			? say(texts.courseDone, { count: steps.length })
			: say(texts.courseAt, { done, count: steps.length, name: called(steps[done]) });
	}
</script>

<section>
	<h2>{say(texts.courses)}</h2>
	<p>{say(texts.coursesSay)}</p>
	<Outcome {misfit} saved={saved && !isChanged} {draft} form={sheet} />
	<DraftForm {draft} action="?/courses" bind:form={sheet}>
		<input type="hidden" name="season" value={season} />
		<input type="hidden" name="courses" value={JSON.stringify(typed)} />
		{#each typed as course, index (course.id)}
			<fieldset>
				<legend class="unseen">{course.name}</legend>
				<div class="head">
					<label class="caption">
						{say(texts.courseName)}
						<input
							class="typed"
							required
							maxlength="200"
							value={course.name}
							oninput={(event) => change(index, { ...course, name: event.currentTarget.value })}
						/>
					</label>
					<label class="caption">
						{say(texts.forWhom)}
						<select
							class="typed"
							value={course.unit ?? ''}
							onchange={(event) => {
								const { unit: _unit, ...rest } = course;
								const unit = event.currentTarget.value;
								change(index, unit ? { ...rest, unit } : rest);
							}}
						>
							<option value="">{say(texts.everyone)}</option>
							{#each units as { id, name } (id)}<option value={id}>{name}</option>{/each}
						</select>
					</label>
					<strong>{standing(course)}</strong>
					<button
						type="button"
						class="link"
						onclick={() => (typed = typed.filter(({ id }) => id !== course.id))}
						>{say(texts.removeCourse, { name: course.name })}</button
					>
				</div>
				<ol aria-label={say(texts.steps, { name: course.name })}>
					{#each course.steps as step, k (k)}
						<li>
							<b>{k + 1}</b>
							<select
								class="typed"
								aria-label={say(texts.stepDrill, { number: k + 1 })}
								value={step.drill}
								onchange={(event) => setStep(index, k, { drill: event.currentTarget.value })}
							>
								{#each shelf as { id, name } (id)}<option value={id}>{name}</option>{/each}
							</select>
							<select
								class="typed"
								aria-label={say(texts.stepRung, { number: k + 1 })}
								value={step.rung ?? ''}
								onchange={(event) => {
									const rung = event.currentTarget.value;
									setStep(index, k, { drill: step.drill, ...(rung && { rung }) });
								}}
							>
								<option value="">{say(texts.itself)}</option>
								{#each drills.get(step.drill)?.rungs ?? [] as { id, name } (id)}
									<option value={id}>{name}</option>
								{/each}
							</select>
							{#if k > 0}
								<button
									type="button"
									class="link"
									aria-label={say(texts.stepUp, { number: k + 1 })}
									onclick={() =>
										change(index, {
											...course,
											steps: course.steps.with(k, course.steps[k - 1]).with(k - 1, step)
										})}>↑</button
								>
							{/if}
							{#if course.steps.length > 1}
								<button
									type="button"
									class="link"
									aria-label={say(texts.removeStep, { number: k + 1 })}
									onclick={() => change(index, { ...course, steps: course.steps.toSpliced(k, 1) })}
									>×</button
								>
							{/if}
						</li>
					{/each}
				</ol>
				<button
					type="button"
					class="link"
					onclick={() =>
						change(index, {
							...course,
							steps: [...course.steps, { drill: course.steps[course.steps.length - 1].drill }]
						})}>{say(texts.addAStep)}</button
				>
			</fieldset>
		{/each}
		<div class="head">
			<Button kind="ghost" size="small" type="button" on:click={add}>{say(texts.addACourse)}</Button
			>
			<Button size="small" type="submit" disabled={!isChanged}>{say(texts.save)}</Button>
		</div>
	</DraftForm>
</section>

<style>
	h2 {
		font-size: 16px;
		font-weight: 700;
		padding-bottom: 4px;
	}
	p {
		font-size: 13px;
		color: var(--ink-soft);
	}
	fieldset {
		border: 0;
		border-top: 1px solid var(--rule);
		padding: 8px 0 10px;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: end;
		padding: 4px 0;
	}
	.head strong {
		font-size: 13.5px;
		padding-bottom: 7px;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 10px;
		align-items: center;
		padding: 2px 0;
	}
	li b {
		min-width: 18px;
	}
	.link {
		min-width: 26px;
		text-align: center;
	}
</style>
