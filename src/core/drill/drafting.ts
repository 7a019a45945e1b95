import type { Drill } from '../model/drill';
import { resolveDrill } from './resolve';

/** A drill to begin with: two spots that change places, a ball, ten metres. It runs as it is. */
export function blankDrill({
	id,
	sport,
	skill
}: {
	id: string;
	sport: string;
	skill?: string;
}): Drill {
	return {
		format: 'fieldplan/drill@1',
		id,
		name: 'New drill',
		summary: '',
		sports: [sport],
		skills: skill === undefined ? [] : [{ skill, share: 1, focus: 'main' }],
		group: { min: 2, ideal: 4, max: 6 },
		spots: [
			{ id: 'work', role: 'worker', count: 1, line: true, x: 2, y: 5 },
			{ id: 'feed', role: 'feeder', count: 1, x: 8, y: 5 }
		],
		turn: { workSeconds: 8, headwaySeconds: 10 },
		rotation: { moves: { work: 'feed', feed: 'work' } },
		ground: { length: 10, width: 10 },
		kit: [{ item: 'ball', count: 1, per: 'copy' }],
		coaches: { min: 0, ideal: 1 },
		contact: 0,
		effort: 5,
		frequency: 'regular',
		cues: [],
		cautions: [],
		rungs: []
	};
}

/** A rung as a drill of its own, without a ladder; null where the drill has no such rung. */
export function drillOfRung(drill: Drill, rungId: string): Drill | null {
	const rung = drill.rungs.find(({ id }) => id === rungId);
	const resolved = resolveDrill(drill, rungId);
	if (!rung || !resolved.ok) return null;
	const { name, rungs: _rungs, revision: _revision, ...rest } = { ...drill, ...resolved.value };
	const faults = rest.faults?.map(({ rung: _rung, ...fault }) => fault);
	return { ...rest, ...(faults && { faults }), name: `${name}: ${rung.name}`, rungs: [] };
}
