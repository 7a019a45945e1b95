import type { Practice } from '../model/practice';
import { type Evaluation, placedIn } from '../playing';
import { settle } from '../settling';
import type { FindingCode, Rule, Trouble } from './finding';

/** What an absence can bring about. */
const BROUGHT_ABOUT: ReadonlySet<FindingCode> = new Set([
	'group-size',
	'too-few-players',
	'role-missing',
	'adults-few',
	'block-empty'
]);

/** A cause is told as one from so many places on; one place is told by itself, with its numbers. */
const FROM_PLACES = 2;

/** Ids of people who are placed in each period and do not come. */
function missingIn({ expected, adults, periods }: Practice): Map<string, Set<string>> {
	const [players, grown] = [new Set(expected), new Set(adults)];
	return new Map(
		periods.map((period) => {
			const copies = period.lanes.flatMap(({ blocks }) => blocks.flatMap((block) => block.copies));
			const standing = copies.flatMap((copy) => copy.adults);
			return [
				period.id,
				new Set([
					...[...placedIn(period)].filter((id) => !players.has(id)),
					...standing.filter((id) => !grown.has(id))
				])
			];
		})
	);
}

/** Stops in periods where somebody is placed who does not come; none where it is one place alone. */
export function broughtAbout(
	{ practice }: Evaluation,
	found: readonly Trouble[]
): readonly Trouble[] {
	const possible = found.filter(
		({ code, severity }) => severity === 'stop' && BROUGHT_ABOUT.has(code)
	);
	// Asked of every practice that is tried: most have nothing of the kind.
	if (possible.length < FROM_PLACES) return [];
	const missing = missingIn(practice);
	const stops = possible.filter(({ at }) => (missing.get(at.period ?? '')?.size ?? 0) > 0);
	const places = new Set(stops.map(({ at }) => at.block ?? at.period));
	return places.size >= FROM_PLACES ? stops : [];
}

/** What several stops of one cause are told as: people who are placed do not come. Null where there are none. */
export function asOne(
	{ practice, context }: Evaluation,
	stops: readonly Trouble[]
): Trouble<'not-here'> | null {
	if (stops.length === 0) return null;
	const all = new Set([...missingIn(practice).values()].flatMap((ids) => [...ids]));
	const adults = [...all].filter((id) => context.adultById.has(id)).length;
	return {
		code: 'not-here',
		severity: 'stop',
		at: { period: stops[0].at.period, fromSecond: stops[0].at.fromSecond },
		values: {
			players: all.size - adults,
			adults,
			places: new Set(stops.map(({ at }) => at.block ?? at.period)).size
		}
	};
}

/** People who are placed do not come, and what they are placed in does not run without them. */
export const notHere: Rule<'not-here'> = {
	// Found from what the other rules find.
	find: () => [],
	mayHurt: true,
	weigh: ({ values }) => values.places,
	propose(evaluation, trouble) {
		return this.proposeForAll?.(evaluation, [trouble]) ?? [];
	},
	*proposeForAll(evaluation) {
		const { edits } = settle(evaluation);
		if (edits.length > 0) yield { type: 'all', edits };
	}
};
