import type { BriefItem } from '$core/model/practice';
import { contactWeight, onRung } from '$core/playing';
import { DEFAULT_LIMITS } from '$core/practice';
import type { CostSum, PackedSum } from '$core/season';
import {
	planSearch,
	type BriefReason,
	type SeasonPlanInput,
	type SeasonPlanOutput
} from '$core/seasonPlan';

/** A drill that is planned, with why it is there: reasons of a plan that was just made, the words of one that is stored. */
export type Shown = Omit<BriefItem, 'why'> & { why?: BriefReason[] | string };

/** Briefs by practice. */
export type Briefs = ReadonlyMap<string, readonly Shown[]>;

/** What a plan is worth. */
export type Measures = SeasonPlanOutput['measures'];

/** The request with what is locked of the briefs that are shown, and these as the plan before. */
export function asked(
	input: SeasonPlanInput,
	briefs: Briefs,
	isLocked: (practice: string, drill: string) => boolean
): SeasonPlanInput {
	const plain = ({ drill, rung, minutes }: Shown) => ({
		...{ drill, minutes },
		...(rung !== undefined && { rung })
	});
	return {
		...input,
		practices: input.practices.map((practice) => {
			const brief = briefs.get(practice.id);
			if (!brief) return practice;
			return {
				...practice,
				locked: brief.filter(({ drill }) => isLocked(practice.id, drill)).map(plain)
			};
		}),
		plan: [...briefs].flatMap(([id, brief]) =>
			brief.length > 0 ? [{ id, brief: brief.map(plain) }] : []
		)
	};
}

/** What briefs are worth as they are, with nothing added to them. */
export function measuresOf(input: SeasonPlanInput, briefs: Briefs): Measures | null {
	const { plan: _plan, ...rest } = asked(input, briefs, () => true);
	const found = planSearch({
		...rest,
		practices: rest.practices.map((practice) => ({
			...practice,
			minutes: (practice.locked ?? []).reduce((sum, { minutes }) => sum + minutes, 0)
		}))
	});
	const first = found.ok ? found.value.next() : null;
	return first && !first.done ? first.value.best.measures : null;
}

/** What the players of each unit get by some briefs, all of them together, and what it costs them. */
export function sumsOf(
	briefs: Briefs,
	{
		input: { drills, practices, limits },
		counts
	}: { input: SeasonPlanInput; counts: readonly (readonly [string | null, number])[] }
): { sums: PackedSum[]; costs: CostSum[] } {
	const all = { ...DEFAULT_LIMITS, ...limits };
	const known = new Map(drills.map((drill) => [drill.id, drill]));
	const items = [...briefs].flatMap(([practice, brief]) =>
		brief.flatMap(({ drill, rung, minutes }) => {
			const found = known.get(drill);
			return found ? [{ practice, minutes, run: onRung(found, rung) }] : [];
		})
	);
	/** The same minutes of a skill for everybody. */
	const forAll = (practice: string, skill: string, minutes: number, isMain: boolean) =>
		counts.map(([unit, players]): PackedSum => {
			return [practice, skill, isMain ? 1 : 0, unit, minutes * 60 * players];
		});
	return {
		sums: [
			...items.flatMap(({ practice, minutes, run }) =>
				run.skills.flatMap(({ skill, share, focus }) =>
					forAll(practice, skill, share * minutes, focus === 'main')
				)
			),
			// Warm-up, game and end count for the targets too.
			...practices
				.filter(({ id }) => briefs.has(id))
				.flatMap(({ id, gives = [] }) =>
					gives.flatMap(({ skill, minutes }) => forAll(id, skill, minutes, false))
				)
		],
		costs: items.flatMap(({ practice, minutes, run }) =>
			counts.map(([unit, players]) => ({
				...{ practice, unit },
				load: minutes * run.effort * players,
				contact: contactWeight(run.contact, all) * minutes * players
			}))
		)
	};
}
