import type { Ground } from '$core/model/team';
import type { Point } from '$core/playing';

/** What a scene is drawn on, and with: what is painted there, and where our line-up stands. */
export interface SceneGround {
	markings: Ground['markings'];
	lineUp: readonly { name: string; unit: string; at: Point }[];
}
