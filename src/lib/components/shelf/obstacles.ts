import { assertNever } from '$core/base';
import type { Obstacle } from '$core/shelf';
import { howMany } from '$core/words';

/** What keeps a drill from running here, as a coach says it. */
export function obstacleWords(obstacle: Obstacle): string {
	switch (obstacle.what) {
		case 'players':
			return `needs ${howMany(obstacle.needs, 'player')}, ${obstacle.has} are here`;
		case 'groups':
			return `${obstacle.has} players make no groups of ${obstacle.min} to ${obstacle.max}`;
		case 'adults':
			return `needs ${howMany(obstacle.needs, 'adult')}, ${obstacle.has} are here`;
		case 'ground':
			return `no zone holds ${obstacle.length} × ${obstacle.width} m`;
		case 'fixture':
			return `no zone with ${howMany(obstacle.needs, obstacle.item)}`;
		case 'kit':
			return `needs ${howMany(obstacle.needs, obstacle.item)}, ${obstacle.has} can be used`;
		default:
			return assertNever(obstacle);
	}
}
