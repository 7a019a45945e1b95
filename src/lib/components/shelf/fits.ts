import type { Drill } from '$core/model/drill';
import type { SizeOption } from '$core/sizing';
import { blockWordsOf } from '../inspector/blocks';
import { turnsWords } from '../tape/words';
import type { Period } from '$core/model/practice';
import { chosenSize, sizeHere, type Sizing } from '$core/building';
import { unsuited, type Plan } from '$core/practice';
import texts from '$texts/shelf';
import type { Say } from '$words';

/** How a drill would run here today: its sizes, and the words for the best of them. */
export interface Fit {
	drill: Drill;
	sizing: Sizing | null;
	/** One line: copies, turns, waiting; or why it does not fit. */
	words: string;
	/** Higher fits better; below 0 where nothing is free. */
	score: number;
}

/** How a drill is wanted on the tape: for which unit, on which rung, how long; as it comes where nothing is said. */
export interface DrillWish {
	unit?: string;
	rung?: string;
	minutes?: number;
}

/** Minutes of a period that is made from a drill of the shelf. */
export const SHELF_MINUTES = 10;

const percent = (share: number) => `${Math.round(share * 100)}%`;

/** An empty period, to ask what a drill could have on the whole ground. */
export const EMPTY_PERIOD: Period = {
	id: 'ask',
	name: '',
	kind: 'together',
	rank: 'should',
	min: 1,
	ideal: 10,
	max: 60,
	minutes: 10,
	lanes: []
};

/** Sizes in words: `6 or 5`. */
const sizesOf = (sizes: readonly number[], say: Say) =>
	[...new Set(sizes)].map(String).reduce((one, other) => say(texts.either, { one, other }));

/**
 * How a drill fits the players and the ground of a practice in a period of `minutes`, which the words say
 * where nothing beside them does.
 */
export function fitOf(
	plan: Plan,
	drill: Drill,
	minutes: number,
	{ say, saysMinutes = false }: { say: Say; saysMinutes?: boolean }
): Fit {
	const players = plan.practice.expected.length;
	const sized = sizeHere(plan, { period: EMPTY_PERIOD, drill, players, minutes, beside: [] });
	if (!sized.ok) return { drill, sizing: null, words: sized.failure.message, score: -2 };
	const { options } = sized.value.output;
	const chosen = chosenSize(drill, sized.value.output);
	if (chosen === null) {
		const { room } = sized.value;
		return { drill, sizing: sized.value, words: whyNot(options, { drill, room, say }), score: -1 };
	}
	const { copies, sizes, reps, share } = chosen;
	const many = say(texts.copies, { copies });
	const words = say(saysMinutes ? texts.fitsInMinutes : texts.fits, {
		many,
		sizes: sizesOf(sizes, say),
		reps: turnsWords(reps, say),
		minutes,
		waits: percent(share.wait)
	});
	const isLast = drill.family === 'cool-down';
	// What is for others stands behind what is for this team, and says so.
	if (unsuited(drill, plan.context))
		return {
			...{ drill, sizing: sized.value, score: -0.5 },
			words: say(texts.notForYou, { words })
		};
	return { drill, sizing: sized.value, words, score: isLast ? 0 : 1 - share.wait };
}

/** Why no size is free: what the one that lacks least lacks. */
function whyNot(
	options: readonly SizeOption[],
	{ drill, room, say }: { drill: Drill; room: Sizing['room']; say: Say }
): string {
	const lacking = ({ blockedBy }: SizeOption) =>
		blockedBy.length + (blockedBy.includes('size') ? 10 : 0);
	const [option] = options.toSorted((a, b) => lacking(a) - lacking(b));
	if (!option) return say(texts.doesNotFitTooFewPlayers);
	const words = option.blockedBy.map((block) => blockWordsOf(block, option, { drill, room, say }));
	const many = say(texts.copies, { copies: option.copies });
	return say(texts.doesNotFitOf, {
		many,
		sizes: sizesOf(option.sizes, say),
		short: words.join(', ')
	});
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
