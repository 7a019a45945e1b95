import type { Drill, Rung } from '../model/drill';
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

/** A drill whose rung, or whose standard version (null), stands at another place of its ladder; the same drill where that is none. */
export function movedOnLadder(drill: Drill, id: RungId, to: number): Drill {
	const ladder = ladderOf(drill);
	const from = ladder.indexOf(id);
	if (from < 0 || to < 0 || to >= ladder.length || to === from) return drill;
	const moved = ladder.toSpliced(from, 1).toSpliced(to, 0, id);
	const byId = new Map(drill.rungs.map((rung) => [rung.id, rung]));
	const isLater = (rung: string | undefined, than: string) =>
		rung !== undefined && moved.indexOf(rung) > moved.indexOf(than);
	// What a rung builds on comes before it: else it builds on the drill itself.
	const own = ({ on, ...rung }: Rung): Rung =>
		isLater(on, rung.id) ? rung : { ...rung, ...(on !== undefined && { on }) };
	return {
		...drill,
		standardAt: moved.indexOf(null),
		rungs: moved.flatMap((each) => {
			const rung = each === null ? undefined : byId.get(each);
			return rung ? [own(rung)] : [];
		})
	};
}
