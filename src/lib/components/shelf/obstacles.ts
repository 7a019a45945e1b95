import { assertNever } from '$core/base';
import type { Obstacle } from '$core/shelf';
import type { Say } from '$words';
import texts from '$texts/shelf';

/** Why players make no groups for a drill, as a coach says it; empty where something else is short. */
export function groupWords(obstacle: Obstacle, say: Say): string {
	switch (obstacle.what) {
		case 'players':
			return say(texts.needsAreHere, { needs: obstacle.needs, has: obstacle.has });
		case 'groups':
			return say(texts.playersMakeNoGroupsOfTo, {
				has: obstacle.has,
				min: obstacle.min,
				max: obstacle.max
			});
		case 'short':
			return '';
		default:
			return assertNever(obstacle);
	}
}
