import type { Drill } from '$core/model/drill';
import type { SizeOption } from '$core/sizing';
import { blockWordsOf } from '../inspector/blocks';
import { turnsWords } from '../tape/words';
import type { Period } from '$core/model/practice';
import { chosenSize, sizeHere, type Sizing } from '$core/building';
import type { Plan } from '$core/practice';

/** How a drill would run here today: its sizes, and the words for the best of them. */
export interface Fit {
	drill: Drill;
	sizing: Sizing | null;
	/** One line: copies, turns, waiting; or why it does not fit. */
	words: string;
	/** Higher fits better; below 0 where nothing is free. */
	score: number;
}

/** Minutes of a period that is made from a drill of the shelf. */
export const SHELF_MINUTES = 10;

const percent = (share: number) => `${Math.round(share * 100)}%`;

/** An empty period, to ask what a drill could have on the whole ground. */
export const EMPTY_PERIOD: Period = {
	id: 'ask',
	name: 'ask',
	kind: 'together',
	rank: 'should',
	min: 1,
	ideal: 10,
	max: 60,
	minutes: 10,
	lanes: []
};

/** Sizes in words: `6 or 5`. */
const sizesOf = (sizes: readonly number[]) => [...new Set(sizes)].join(' or ');

/**
 * How a drill fits the players and the ground of a practice in a period of `minutes`, which the words say
 * where nothing beside them does.
 */
export function fitOf(
	plan: Plan,
	drill: Drill,
	minutes: number,
	{ saysMinutes = false }: { saysMinutes?: boolean } = {}
): Fit {
	const players = plan.practice.expected.length;
	const sized = sizeHere(plan, { period: EMPTY_PERIOD, drill, players, minutes, beside: [] });
	if (!sized.ok) return { drill, sizing: null, words: sized.failure.message, score: -2 };
	const { options } = sized.value.output;
	const chosen = chosenSize(drill, sized.value.output);
	if (chosen === null) {
		const { room } = sized.value;
		return { drill, sizing: sized.value, words: whyNot(options, { drill, room }), score: -1 };
	}
	const { copies, sizes, reps, share } = chosen;
	const many = copies === 1 ? '1 copy' : `${copies} copies`;
	const within = saysMinutes ? ` in ${minutes} min` : '';
	const words = `${many} of ${sizesOf(sizes)} · ${turnsWords(reps)}${within} · waits ${percent(share.wait)}`;
	const isLast = drill.family === 'cool-down';
	return { drill, sizing: sized.value, words, score: isLast ? 0 : 1 - share.wait };
}

/** Why no size is free: what the one that lacks least lacks. */
function whyNot(
	options: readonly SizeOption[],
	{ drill, room }: { drill: Drill; room: Sizing['room'] }
): string {
	const lacking = ({ blockedBy }: SizeOption) =>
		blockedBy.length + (blockedBy.includes('size') ? 10 : 0);
	const [option] = options.toSorted((a, b) => lacking(a) - lacking(b));
	if (!option) return 'does not fit: too few players';
	const words = option.blockedBy.map((block) => blockWordsOf(block, option, drill, room));
	const many = option.copies === 1 ? '1 copy' : `${option.copies} copies`;
	return `does not fit, ${many} of ${sizesOf(option.sizes)}: ${words.join(', ')}`;
}

const folded = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Whether a drill has every word of a search in its name, summary, family or skills. */
export function matches(drill: Drill, search: string): boolean {
	const { name, summary, family = '', skills } = drill;
	const text = folded([name, summary, family, ...skills.map(({ skill }) => skill)].join(' '));
	return folded(search)
		.split(/\s+/)
		.every((word) => text.includes(word));
}
