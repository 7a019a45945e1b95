import type { Drill, RungChange } from '../model/drill';

/** What a spot is called now, by what it was called; a spot that is not in it keeps its name. */
export type SpotNames = Readonly<Record<string, string>>;

/** The fields of a drill, or of a rung's change, that name spots, with other names in them. */
function renamedFields<Fields extends Partial<RungChange>>(
	fields: Fields,
	names: SpotNames
): Fields {
	const of = (id: string) => (Object.hasOwn(names, id) ? names[id] : id);
	const { spots, rotation, paths, cues } = fields;
	const end = <End>(at: End) => (typeof at === 'string' ? of(at) : at);
	return {
		...fields,
		...(spots && { spots: spots.map((spot) => ({ ...spot, id: of(spot.id) })) }),
		...(rotation && {
			rotation: {
				...rotation,
				moves: Object.fromEntries(
					Object.entries(rotation.moves).map(([from, to]) => [of(from), of(to)])
				)
			}
		}),
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
