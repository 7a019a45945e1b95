import type { Drill } from '../model/drill';
import type { Block, Period, Practice } from '../model/practice';
import { footprint } from '../sizing';
import { type Context, toContext } from '../practice';

/** Metres of ground around the copy, as a share of its longer side: lines stand there. */
const AROUND = 0.18;
/** A drill that is played alone is played on no day in particular. */
const ANY_DAY = '2027-01-04';

/** How one copy of a drill is to run. */
export interface AloneRequest {
	players: number;
	climb: Block['climb'];
	minutes: number;
	/** Adults beside those that the drill always needs. */
	adults: number;
	stopShare?: number;
}

const people = (stem: string, count: number) =>
	Array.from({ length: count }, (_, index) => ({ id: `${stem}${index + 1}`, number: index + 1 }));

/** Ground just large enough for one copy, with room around it, and who is there. */
function contextAlone(drill: Drill, { players, adults }: AloneRequest): Context {
	const { length, width } = footprint(drill, players);
	const margin = Math.max(2, Math.max(length, width) * AROUND);
	return toContext({
		team: {
			id: 'alone',
			name: drill.name,
			sport: drill.sports[0] ?? 'any',
			ages: drill.ages ?? { from: 18, to: 99 },
			timeZone: 'UTC',
			skillAreas: [],
			units: []
		},
		season: { id: 'alone', name: drill.name, firstDay: ANY_DAY, weeks: 1 },
		players: people('', players).map(({ id, number }) => ({ id, number, name: id })),
		adults: people('A', adults).map(({ id }) => ({ id, name: id, role: 'coach' })),
		ground: {
			id: 'alone',
			name: drill.name,
			length: length + 2 * margin,
			width: width + 2 * margin,
			markings: [],
			zones: [{ id: 'copy', name: '', x: margin, y: margin, length, width }]
		},
		kit: {},
		drills: [drill]
	});
}

/** The one period of a practice of one copy. */
function periodAlone(
	drill: Drill,
	{ climb, minutes, stopShare = 0 }: AloneRequest,
	copy: Block['copies'][number]
): Period {
	const block: Block = {
		id: 'b',
		drill: { id: drill.id, revision: drill.revision ?? 1 },
		climb,
		minutes,
		copies: [copy],
		stopShare
	};
	return {
		id: 'p',
		name: drill.name,
		kind: 'together',
		rank: 'must',
		min: 1,
		ideal: minutes,
		max: minutes,
		minutes,
		lanes: [{ id: 'l', zoneIds: [copy.zoneId], blocks: [block] }]
	};
}

/**
 * A practice of nothing but one copy of a drill on ground of its own, to be evaluated and drawn like any
 * other: players "1", "2", … in that order, and as many adults as are asked for.
 */
export function drillAlone(
	drill: Drill,
	request: AloneRequest
): { practice: Practice; context: Context } {
	const context = contextAlone(drill, request);
	const expected = context.players.map(({ id }) => id);
	const adults = context.adults.map(({ id }) => id);
	const copy = { id: 'c', zoneId: 'copy', players: expected, adults };
	const practice: Practice = {
		format: 'fieldplan/practice@1',
		id: 'alone',
		teamId: 'alone',
		seasonId: 'alone',
		date: ANY_DAY,
		start: '00:00',
		timeZone: 'UTC',
		minutes: request.minutes,
		place: drill.name,
		expected,
		adults,
		periods: [periodAlone(drill, request, copy)]
	};
	return { practice, context };
}
