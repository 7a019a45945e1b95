import { clockAt } from '$core/conditions';
import type { Drill } from '$core/model/drill';
import type { Block } from '$core/model/practice';
import { type Evaluation, onRung } from '$core/playing';
import { climbOf } from '$core/practice';
import texts from '$texts/handOut';
import type { Say } from '$words';

/** What is printed of a practice. */
export const KINDS = ['plan', 'stations', 'groups', 'adults', 'carry', 'starts'] as const;
export type Kind = (typeof KINDS)[number];

/** How people are called on paper: by number and first name, or by the number alone. */
export function callerOf(
	{ context }: Pick<Evaluation, 'context'>,
	numbersOnly: boolean
): (id: string) => string {
	return (id) => {
		const player = context.playerById.get(id);
		const name = player?.name ?? context.adultById.get(id)?.name ?? id;
		const first = name.split(' ')[0];
		if (!player) return first;
		const { number } = player;
		// Who has no number goes by the first letters of the name.
		const letters = name
			.split(' ')
			.map((part) => part[0])
			.join('');
		if (numbersOnly) return number === undefined ? letters : String(number);
		return number === undefined ? first : `${number} ${first}`;
	};
}

/** From when to when, by the clock. */
export const spanOf = (
	{ practice }: Pick<Evaluation, 'practice'>,
	{ fromSecond, toSecond }: { fromSecond: number; toSecond: number },
	say: Say
): string =>
	say(texts.from, {
		start: clockAt(practice.start, fromSecond),
		end: clockAt(practice.start, toSecond)
	});

const unique = <Item>(items: readonly Item[]) => [...new Set(items)];

/** Who goes where after a turn, spot by spot. */
export function movesOf({ spots, rotation }: Drill, say: Say): string[] {
	return spots.map(({ id }) => {
		const to = rotation.moves[id] ?? id;
		return to === id ? say(texts.stays, { spot: id }) : say(texts.goes, { spot: id, to });
	});
}

/** What stands on the card of a station for one rung that it runs. */
export interface RungCard {
	name: string;
	cues: string[];
	told: string[];
	faults: string[];
	/** What the other side is told. */
	others: string[];
	cautions: string[];
}

/** The rungs that a block runs, each once and with all that is said on it. */
export function rungCards(block: Block, drill: Drill, say: Say): RungCard[] {
	const steps = block.copies.flatMap((copy) => climbOf(block, copy));
	return unique(steps.map(({ rung }) => rung)).map((id) => {
		const rung = drill.rungs.find((each) => each.id === id);
		const {
			spots,
			calls = [],
			praise = [],
			success,
			faults = [],
			cautions,
			cues
		} = onRung(drill, id);
		const against = new Set(spots.flatMap((spot) => (spot.role === 'opponent' ? spot.id : [])));
		const isOther = ({ spot }: { spot?: string }) => spot !== undefined && against.has(spot);
		return {
			name: rung ? say(texts.change, { name: rung.name, change: rung.change }) : say(texts.itself),
			cues: unique(cues.filter((cue) => !isOther(cue)).map((cue) => cue.say)),
			told: [
				...(success ? [say(texts.counts, { counted: success.counts })] : []),
				...(calls.length > 0 ? [say(texts.calls, { calls: calls.join(', ') })] : []),
				...(praise.length > 0 ? [say(texts.praise, { praise: praise.join(', ') })] : [])
			],
			faults: faults.map(({ seen, say: says }) => say(texts.fault, { seen, says })),
			others: unique(cues.filter(isOther).map((cue) => cue.say)),
			cautions: [...cautions]
		};
	});
}
