import type { Drill } from '../model/drill';

/** A place in a drill, in metres from the near left corner of its copy. */
export interface Place {
	x: number;
	y: number;
}

/** Where a spot of a drill lies, by its index: spots that do not say so stand in a row along the middle. */
export function placeOf({ spots, ground }: Pick<Drill, 'spots' | 'ground'>, index: number): Place {
	const { x, y } = spots[index];
	return {
		x: x ?? ground.length * ((index + 1) / (spots.length + 1)),
		y: y ?? ground.width / 2
	};
}
