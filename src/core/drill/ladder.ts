import type { Drill } from '../model/drill';
import { resolveDrill } from './resolve';

/** A rung, null for the drill itself. */
export type RungId = string | null;

/**
 * How many rungs are easier than the drill itself where it does not say so, as files of before do not: those
 * at the front that ask for less effort, or for as much with less contact.
 */
function guessedStandard(drill: Drill): number {
	const isEasier = ({ id }: Drill['rungs'][number]) => {
		const rung = resolveDrill(drill, id);
		if (!rung.ok) return false;
		const { effort, contact } = rung.value;
		return effort < drill.effort || (effort === drill.effort && contact < drill.contact);
	};
	const harder = drill.rungs.findIndex((rung) => !isEasier(rung));
	return harder < 0 ? drill.rungs.length : harder;
}

/** How many rungs of a drill are easier than the drill itself. */
export const standardPlace = (drill: Drill): number =>
	Math.min(drill.rungs.length, drill.standardAt ?? guessedStandard(drill));

/** The one ladder of a drill, from the easiest rung to the hardest, with the drill itself (null) in its place. */
export function ladderOf(drill: Drill): RungId[] {
	const ids = drill.rungs.map(({ id }) => id);
	const place = standardPlace(drill);
	return [...ids.slice(0, place), null, ...ids.slice(place)];
}

/** A drill that says where it stands among its rungs: one of before as it was read then. */
export const withStandard = (drill: Drill): Drill =>
	drill.standardAt === undefined ? { ...drill, standardAt: standardPlace(drill) } : drill;
