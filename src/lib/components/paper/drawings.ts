import { drillAlone, evaluate, type Evaluation } from '$core/playing';
import type { Block } from '$core/model/practice';
import { clockAt } from '$core/conditions';

/** A drill as it stands when its first turn begins, with as many players as its largest copy has. */
export interface Drawing {
	block: Block;
	name: string;
	/** When it is first run, and with how many. */
	when: string;
	/** Nothing but one copy of it, and the second at which it begins to run. */
	alone: Evaluation;
	now: number;
	/** Cues by the spot that they are for. */
	cues: { spot: string; say: string[] }[];
}

/** The drills of a practice as drawings, in order, each once for every climb that it is run with. */
export function drawingsOf({ practice, runs }: Evaluation): Drawing[] {
	const drawn = new Map<string, Drawing>();
	for (const { run } of runs) {
		const { drill, block } = run;
		const key = JSON.stringify([block.drill, block.climb]);
		if (!drill || drawn.has(key)) continue;
		const own = runs.filter((other) => other.run.block === block);
		const players = Math.max(...own.map((other) => other.run.players.length));
		const { climb, minutes } = block;
		const { practice: nothing, context } = drillAlone(drill, {
			...{ players, climb, minutes },
			adults: run.adults.length
		});
		const alone = evaluate(nothing, context);
		if (alone.runs[0].fault) continue;
		const spots = new Set(drill.cues.flatMap(({ spot }) => spot ?? []));
		drawn.set(key, {
			block,
			name: drill.name,
			when: `${clockAt(practice.start, run.fromSecond)}, ${players} players`,
			alone,
			now: alone.runs[0].playsFrom,
			cues: [...spots].map((spot) => ({
				spot,
				say: drill.cues.flatMap((cue) => (cue.spot === spot ? cue.say : []))
			}))
		});
	}
	return [...drawn.values()];
}
