import { max } from 'd3-array';
import { splitEvenly } from '../base';
import { adultPlaces, playerSystem } from '../drill';
import type { Drill } from '../model/drill';
import type { Zone } from '../model/team';
import { isDoneTogether } from '../building';
import { roomierZones, suitableZones } from '../playing';
import { blockedBy, kitNeeded, roomIn, type Block } from '../sizing';

/** What there is for a drill. */
export interface Here {
	players: number;
	adults: number;
	zones: readonly Zone[];
	kit: Readonly<Record<string, number>>;
}

/** Why a drill cannot run here for everyone: what there is, and what the fewest copies would need. */
export type Obstacle =
	| { what: 'players'; has: number; needs: number }
	| { what: 'groups'; has: number; min: number; max: number }
	| { what: 'short'; copies: number; of: Block[] };

/** How a drill stands to what there is here. */
export interface Standing {
	/** Null where it can run for everyone. */
	obstacle: Obstacle | null;
	/** About the share of the time that a player is busy, where it can: to sort by, without a simulation. */
	busyAbout: number;
}

/** A way to staff copies: adults that each takes, and players that it needs at least. */
interface Way {
	adults: number;
	least: number;
}

function waysOf(drill: Drill): Way[] {
	const { always, either } = adultPlaces(drill);
	const { coaches, group } = drill;
	const own = coaches.min + always;
	// Without spots that adults may hold, the least group fills all that players hold.
	if (either === 0) return [{ adults: own, least: group.min }];
	return [0, either].flatMap((adults) => {
		const system = playerSystem(drill, adults);
		return system.ok
			? { adults: own + adults, least: Math.max(group.min, system.value.needed) }
			: [];
	});
}

/** Share of a group that a turn takes, times how many turns are on at once. */
function busyIn({ spots, turn }: Drill, group: number): number {
	const most = spots.reduce(
		(sum, { by, count, upTo = count }) => sum + (by === 'adult' ? 0 : upTo),
		0
	);
	return Math.min(1, (Math.min(most, group) * turn.workSeconds) / (turn.headwaySeconds * group));
}

const refused = (obstacle: Obstacle): Standing => ({ obstacle, busyAbout: 0 });

/** The most copies that kit serves: none where there is too little for the players. */
function copiesByKit(drill: Drill, { players, kit }: Here): number {
	const forPlayers = kitNeeded(drill, { copies: 0, players });
	let most = Infinity;
	for (const [item, each] of kitNeeded(drill, { copies: 1, players: 0 })) {
		const left = (Object.hasOwn(kit, item) ? kit[item] : 0) - (forPlayers.get(item) ?? 0);
		most = Math.min(most, left < 0 ? 0 : each === 0 ? Infinity : Math.floor(left / each));
	}
	return most;
}

/**
 * Tells how drills stand to what there is here: whether all players can run one at once, in copies that
 * adults, ground, fixtures and kit allow, just as `size` finds a free option; in a fraction of its time, as
 * nothing is simulated.
 */
export function standingIn(here: Here): (drill: Drill) => Standing {
	const { players, adults, zones, kit } = here;
	/** The zones for a drill and the copies that they serve; drills of the same ground share them. */
	const known = new Map<string, { sets: readonly (readonly Zone[])[]; served: number }>();
	function groundFor({ ground, fixtures = [], hazards, group }: Drill) {
		const about = Math.min(players, group.ideal);
		const key = JSON.stringify([ground, fixtures, hazards, ground.perPlayer && about]);
		const before = known.get(key);
		if (before) return before;
		const own = { ground, fixtures, ...(hazards && { hazards }) };
		const tight = suitableZones(own, zones, about);
		const roomier = roomierZones(own, { zones, tight, players: about });
		const sets = roomier ? [tight, roomier] : [tight];
		const found = { sets, served: max(sets, (set) => roomIn(set, own, about).served) ?? 0 };
		known.set(key, found);
		return found;
	}

	/** Copies that everyone can run in at once, `most` at most, staffed and with kit; 0 where there are none. */
	function copiesOf(drill: Drill, fewest: number, most: number): number {
		const { sets, served } = groundFor(drill);
		const isTogether = isDoneTogether(drill);
		if (!drill.ground.perPlayer) {
			const free = Math.min(most, served);
			return free < fewest ? 0 : isTogether ? fewest : free;
		}
		// Larger groups need more ground each.
		for (let step = 0; step <= most - fewest; step += 1) {
			const copies = isTogether ? fewest + step : most - step;
			const each = Math.ceil(players / copies);
			if (sets.some((set) => roomIn(set, drill, each).served >= copies)) return copies;
		}
		return 0;
	}

	return (drill) => {
		const { min, max } = drill.group;
		if (players < min) return refused({ what: 'players', has: players, needs: min });
		const fewest = Math.ceil(players / max);
		if (players < min * fewest) return refused({ what: 'groups', has: players, min, max });
		const kitted = copiesByKit(drill, here);
		let least: Obstacle | null = null;
		for (const way of waysOf(drill)) {
			const staffed = way.adults > 0 ? Math.floor(adults / way.adults) : Infinity;
			const whole = Math.floor(players / way.least);
			const copies = copiesOf(drill, fewest, Math.min(whole, staffed, kitted));
			if (copies > 0) return { obstacle: null, busyAbout: busyIn(drill, players / copies) };
			if (whole < fewest) least ??= { what: 'players', has: players, needs: way.least * fewest };
			else {
				const size = { sizes: splitEvenly(players, fewest), adults: way.adults };
				const [tight, roomier] = groundFor(drill).sets;
				const limits = {
					...{ coaches: adults, zones: [...tight], kit },
					...(roomier && { orZones: [...roomier] })
				};
				least ??= { what: 'short', copies: fewest, of: blockedBy(drill, size, limits) };
			}
		}
		return refused(least ?? { what: 'groups', has: players, min, max });
	};
}
