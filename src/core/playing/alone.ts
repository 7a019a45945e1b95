import type { Drill } from '../model/drill';
import type { Block, Practice } from '../model/practice';
import { footprint } from '../sizing';
import { type Context, toContext } from '../practice';

/** Metres of ground around the copy, as a share of its longer side: lines stand there. */
const AROUND = 0.18;

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

/**
 * A practice of nothing but one copy of a drill on ground of its own, to be evaluated and drawn like any
 * other: players "1", "2", … in that order, and as many adults as are asked for.
 */
export function drillAlone(
	drill: Drill,
	{ players, climb, minutes, adults, stopShare = 0 }: AloneRequest
): { practice: Practice; context: Context } {
	const { length, width } = footprint(drill, players);
	const margin = Math.max(2, Math.max(length, width) * AROUND);
	const zone = { id: 'copy', name: '', x: margin, y: margin, length, width };
	const squad = people('', players).map(({ id, number }) => ({ id, number, name: id }));
	const coaches = people('A', adults).map(({ id }) => ({ id, name: id, role: 'coach' }));
	const context = toContext({
		team: {
			id: 'alone',
			name: drill.name,
			sport: drill.sports[0] ?? 'any',
			ages: drill.ages ?? { from: 18, to: 99 },
			timeZone: 'UTC',
			skillAreas: [],
			units: []
		},
		season: { id: 'alone', name: drill.name, firstDay: '2027-01-04', weeks: 1 },
		players: squad,
		adults: coaches,
		ground: {
			id: 'alone',
			name: drill.name,
			length: length + 2 * margin,
			width: width + 2 * margin,
			markings: [],
			zones: [zone]
		},
		kit: {},
		drills: [drill]
	});
	const ids = squad.map(({ id }) => id);
	const copy = { id: 'c', zoneId: zone.id, players: ids, adults: coaches.map(({ id }) => id) };
	const block = {
		id: 'b',
		drill: { id: drill.id, revision: drill.revision ?? 1 },
		climb,
		minutes,
		copies: [copy],
		stopShare
	};
	const practice: Practice = {
		format: 'fieldplan/practice@1',
		id: 'alone',
		teamId: 'alone',
		seasonId: 'alone',
		date: '2027-01-04',
		start: '00:00',
		timeZone: 'UTC',
		minutes,
		place: drill.name,
		expected: ids,
		adults: copy.adults,
		periods: [
			{
				id: 'p',
				name: drill.name,
				kind: 'together',
				rank: 'must',
				min: 1,
				ideal: minutes,
				max: minutes,
				minutes,
				lanes: [{ id: 'l', zoneIds: [zone.id], blocks: [block] }]
			}
		]
	};
	return { practice, context };
}
