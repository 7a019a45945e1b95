import type { Block, Period, Practice } from '../model/practice';
import { shareOf, type Choice } from './choices';
import type { DraftInput, Reason } from './shapes';

/** What reasons are told from. */
export interface Grounds {
	choices: readonly Choice[];
	input: DraftInput;
}

/** Reasons that tell what is due are so many at most. */
const DUE_TOLD = 2;

/** What a period is there for beside what its drills give; null for plain work. */
function ofPeriod({ kind, lanes }: Period, block: Block): Reason | null {
	if (kind === 'warm-up') return { code: 'warm-up' };
	if (kind === 'scrimmage') return { code: 'game' };
	if (kind === 'close') return { code: 'cool-down' };
	const { unit } = lanes.find(({ blocks }) => blocks.includes(block)) ?? {};
	return kind === 'units' && unit !== undefined ? { code: 'unit', unit } : null;
}

function reasonsOf(block: Block, period: Period, choice: Choice, { input }: Grounds): Reason[] {
	const { drill, run, rung } = choice;
	const due = input.due
		.map(({ skill, weight }) => ({ skill, weight, minutes: shareOf(run, skill) * block.minutes }))
		.filter((each) => each.minutes > 0 && each.weight > 0)
		.sort((a, b) => b.weight * b.minutes - a.weight * a.minutes)
		.slice(0, DUE_TOLD)
		.map(({ skill, minutes }): Reason => ({ code: 'due', skill, minutes }));
	const first = ofPeriod(period, block);
	const all: Reason[] = [
		...(first ? [first] : []),
		...(input.brief?.some((each) => each.drill === drill.id) ? [{ code: 'brief' } as const] : []),
		...due,
		...(drill.frequency === 'daily' ? [{ code: 'daily' } as const] : []),
		...(rung === undefined ? [] : [{ code: 'ladder', rung } as const])
	];
	return all.length > 0 ? all : [{ code: 'busy', share: Math.min(1, choice.busy) }];
}

/** Why each block of a draft is in it, by its id. */
export function whyOf(practice: Practice, grounds: Grounds): Record<string, Reason[]> {
	const why: Record<string, Reason[]> = {};
	for (const period of practice.periods)
		for (const block of period.lanes.flatMap(({ blocks }) => blocks)) {
			const choice = grounds.choices.find(({ drill }) => drill.id === block.drill?.id);
			why[block.id] = choice ? reasonsOf(block, period, choice, grounds) : [];
		}
	return why;
}
