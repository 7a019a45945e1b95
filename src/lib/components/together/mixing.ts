import { meetingRange, type Mixable, type OccasionsInput, type PlannedMeeting } from '$core/mixing';
import type { Meetings } from '$core/season';

/** A player as mixing sees one. */
interface Mixed {
	id: string;
	unit?: string;
}

/** What mixing is asked for: which pairs go together, which apart, and whether units are mixed. */
export interface MixWishes {
	together: string[][];
	apart: string[][];
	mixesUnits: boolean;
}

/** Pairs of players of one unit. */
const ofOneUnit = (players: readonly Mixed[]): string[][] =>
	players.flatMap(({ id, unit }, k) =>
		players
			.slice(k + 1)
			.filter((other) => unit !== undefined && other.unit === unit)
			.map((other) => [id, other.id])
	);

/** What the search is asked for the groups of some occasions. */
export function askedMix(
	{ meetings }: Mixable['choices'][number],
	{ players, met, wishes }: { players: readonly Mixed[]; met: Meetings; wishes: MixWishes }
): OccasionsInput {
	// Somebody who has left the squad is still in groups of practices to come: they are dealt with the others.
	const known = new Set([
		...players.map(({ id }) => id),
		...meetings.flatMap(({ groups }) => groups.flat())
	]);
	return {
		players: [...known],
		occasions: meetings,
		met: met.filter(([a, b]) => known.has(a) && known.has(b)),
		together: wishes.together,
		apart: [...wishes.apart, ...(wishes.mixesUnits ? ofOneUnit(players) : [])]
	};
}

/** What is sent to be stored: for every occasion the groups that it had and those that it gets. */
export const sentMix = (
	meetings: readonly PlannedMeeting[],
	sessions: readonly (readonly (readonly string[])[])[]
) =>
	meetings.map(({ practice, revision, periods, lane, groups }, k) => ({
		...{ practice, revision, periods, was: groups, groups: sessions[k] },
		...(lane !== undefined && { lane })
	}));

/** How pairs of a squad are together, in practices that were held and with these groups. */
export const rangeWith = (
	squad: readonly string[],
	met: Meetings,
	sessions: readonly (readonly (readonly string[])[])[]
) => meetingRange(squad, met, sessions.flat());
