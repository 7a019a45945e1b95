import type { Drill } from '../model/drill';
import type { Zone } from '../model/team';
import { copiesByFixtures, copiesInZone } from '../sizing';

/** What there is for a drill. */
export interface Here {
	players: number;
	adults: number;
	zones: readonly Zone[];
	kit: Readonly<Record<string, number>>;
}

/** Something that keeps a drill from running here: how much there is, and how much the least needs. */
export type Obstacle =
	| { what: 'players'; has: number; needs: number }
	| { what: 'groups'; has: number; min: number; max: number }
	| { what: 'adults'; has: number; needs: number }
	| { what: 'ground'; length: number; width: number }
	| { what: 'fixture'; item: string; needs: number }
	| { what: 'kit'; item: string; has: number; needs: number };

/** Whether players can be dealt to copies of a drill as evenly as may be, none too small or too large. */
function divides(players: number, { min, max }: Drill['group']): boolean {
	const fewest = Math.ceil(players / max);
	return players >= min * fewest;
}

/**
 * What keeps one copy of a drill from running here with its least number of players. An empty list is no
 * promise for more copies: `size` looks at those.
 */
export function obstaclesOf(drill: Drill, { players, adults, zones, kit }: Here): Obstacle[] {
	const { group, coaches, ground, fixtures = [] } = drill;
	const obstacles: Obstacle[] = [];
	if (players < group.min) obstacles.push({ what: 'players', has: players, needs: group.min });
	else if (!divides(players, group))
		obstacles.push({ what: 'groups', has: players, min: group.min, max: group.max });
	if (adults < coaches.min) obstacles.push({ what: 'adults', has: adults, needs: coaches.min });
	const least = Math.min(group.ideal, Math.max(players, group.min));
	const { length, width } = ground;
	const holds = (zone: Zone) => copiesInZone(drill, zone, least) > 0;
	if (!zones.some((zone) => holds(zone) && copiesByFixtures(drill, zone) > 0)) {
		if (!zones.some(holds)) obstacles.push({ what: 'ground', length, width });
		else
			for (const { item, count } of fixtures)
				obstacles.push({ what: 'fixture', item, needs: count });
	}
	for (const { item, count, per } of drill.kit) {
		const needs = per === 'copy' ? count : count * group.min;
		const has = kit[item] ?? 0;
		if (has < needs) obstacles.push({ what: 'kit', item, has, needs });
	}
	return obstacles;
}
