import type { PeriodChange } from '$core/arrange';
import type { Context } from '$core/practice';
import texts from '$texts/people';
import type { Say } from '$words';

/** How many names are said before the rest is only counted. */
const NAMES_SAID = 4;

/** What becomes of a period, in short parts: what is dropped, what shrinks, who is with whom. */
export function changeWords(
	{ minutes, parts, isRound, moved, joined, adults, drills }: PeriodChange,
	{ playerById, adultById, drills: known }: Pick<Context, 'playerById' | 'adultById' | 'drills'>,
	say: Say
): string[] {
	const { before, after } = minutes;
	if (after === null) return [say(texts.periodDropped, { before: before ?? 0 })];
	if (before === null) return [say(texts.periodAdded, { after })];
	const player = (id: string) => playerById.get(id)?.name ?? id;
	const adult = (id: string) => adultById.get(id)?.name ?? id;
	const named = (ids: readonly string[], nameOf: (id: string) => string) => {
		const more = ids.length - NAMES_SAID;
		const said = ids.slice(0, NAMES_SAID).map(nameOf).join(', ');
		return more > 0 ? say(texts.namesAndMore, { said, more }) : said;
	};
	return [
		...(after === before ? [] : [say(texts.minutesFromTo, { before, after })]),
		...drills.map((id) =>
			say(texts.runsInstead, { name: known.find((drill) => drill.id === id)?.name ?? id })
		),
		...(parts.before === parts.after
			? []
			: [say(isRound ? texts.stationsFromTo : texts.copiesFromTo, parts)]),
		...(moved.length > 0
			? [say(texts.changeGroup, { count: moved.length, people: named(moved, player) })]
			: []),
		...(joined.length > 0
			? [say(texts.joinIt, { count: joined.length, people: named(joined, player) })]
			: []),
		...(adults.length > 0
			? [say(texts.standThere, { many: adults.length, people: named(adults, adult) })]
			: [])
	];
}
