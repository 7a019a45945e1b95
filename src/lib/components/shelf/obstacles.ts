import { assertNever } from '$core/base';
import type { Obstacle } from '$core/shelf';
import { howMany } from '$core/words';

/** Why players make no groups for a drill, as a coach says it; empty where something else is short. */
export function groupWords(obstacle: Obstacle): string {
	switch (obstacle.what) {
		case 'players':
			return `needs ${howMany(obstacle.needs, 'player')}, ${obstacle.has} are here`;
		case 'groups':
			return `${obstacle.has} players make no groups of ${obstacle.min} to ${obstacle.max}`;
		case 'short':
			return '';
		default:
			return assertNever(obstacle);
	}
}
