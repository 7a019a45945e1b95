import type { Drill, RungChange } from '../model/drill';

/** What a spot is called now, by what it was called; a spot that is not in it keeps its name. */
export type SpotNames = Readonly<Record<string, string>>;

/** The fields of a drill, or of a rung's change, that name spots, with other names in them. */
function renamedFields<Fields extends Partial<RungChange>>(
	fields: Fields,
	names: SpotNames
): Fields {
	const of = (id: string) => (Object.hasOwn(names, id) ? names[id] : id);
	const { spots, skills, turn, rotation, paths, cues } = fields;
	const moved = (moves: Readonly<Record<string, string>>) =>
		Object.fromEntries(Object.entries(moves).map(([from, to]) => [of(from), of(to)]));
	const onSpots = <Part extends { spots?: string[] }>(part: Part): Part =>
		part.spots ? { ...part, spots: part.spots.map(of) } : part;
	const end = <End>(at: End) => (typeof at === 'string' ? of(at) : at);
	return {
		...fields,
		...(spots && { spots: spots.map((spot) => ({ ...spot, id: of(spot.id) })) }),
		...(rotation && {
			rotation: {
				...rotation,
				moves: moved(rotation.moves),
				...(rotation.result && {
					result: { ...rotation.result, moves: moved(rotation.result.moves) }
				})
			}
		}),
		...(skills && { skills: skills.map(onSpots) }),
		...(turn?.loads && { turn: { ...turn, loads: turn.loads.map(onSpots) } }),
		...(paths && {
			paths: paths.map((path) => ({ ...path, from: end(path.from), to: end(path.to) }))
		}),
		...(cues && { cues: cues.map((cue) => (cue.spot ? { ...cue, spot: of(cue.spot) } : cue)) })
	};
}

/** The drill with its spots called otherwise wherever they are named, on its rungs too, all at once. */
export function renameSpots(drill: Drill, names: SpotNames): Drill {
	return {
		...renamedFields(drill, names),
		rungs: drill.rungs.map((rung) =>
			rung.set ? { ...rung, set: renamedFields(rung.set, names) } : rung
		)
	};
}
