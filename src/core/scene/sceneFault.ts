import type { Path } from '../base';
import type { Scene } from '../model/scene';
import { BALL } from './drawnScene';

/** Why a scene cannot be drawn, and where in it. */
export interface SceneFault {
	path: Path;
	/** `token-twice`: two tokens are called alike; `off-ground`: a point lies beside the ground; `no-token`: a way names none. */
	code: 'token-twice' | 'off-ground' | 'no-token';
	/** The token or the place that it is about. */
	value: string;
}

type Point = readonly [number, number];

/** What makes no sense in a scene of a good shape; null where nothing is wrong. */
export function sceneFault({ tokens, ways = [], ball, ground }: Scene): SceneFault | null {
	const isOn = ([x, y]: Point) => x >= 0 && y >= 0 && x <= ground.length && y <= ground.width;
	const off = (path: Path, [x, y]: Point): SceneFault | null =>
		isOn([x, y]) ? null : { path, code: 'off-ground', value: `${x}, ${y}` };
	// The ball goes by a name among the tokens while it is drawn.
	const called = new Set<string>(ball ? [BALL] : []);
	for (const [index, { id, x, y }] of tokens.entries()) {
		if (called.has(id)) return { path: ['tokens', index, 'id'], code: 'token-twice', value: id };
		called.add(id);
		const fault = off(['tokens', index, 'x'], [x, y]);
		if (fault) return fault;
	}
	for (const [index, way] of ways.entries())
		for (const end of ['from', 'to'] as const) {
			const at = way[end];
			const path: Path = ['ways', index, end];
			if (typeof at === 'string') {
				if (!called.has(at)) return { path, code: 'no-token', value: at };
				continue;
			}
			const fault = off(path, at as unknown as Point);
			if (fault) return fault;
		}
	return ball ? off(['ball'], ball as unknown as Point) : null;
}
