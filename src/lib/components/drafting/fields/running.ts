import type { Drill } from '$core/model/drill';
import { number, orNone, type FieldGroup, type NumberInput } from './inputs';

const group = (field: 'min' | 'ideal' | 'max', label: string): NumberInput =>
	number(
		label,
		['', 1, 500],
		(drill) => drill.group[field],
		(drill, value) => ({ group: { ...drill.group, [field]: value ?? drill.group[field] } })
	);

type Turn = Drill['turn'];
const turn = (field: keyof Turn, label: string): NumberInput =>
	number(
		label,
		['s', 0.5, 3600],
		(drill) => drill.turn[field],
		(drill, value) => {
			const { [field]: _before, ...rest } = drill.turn;
			const isNeeded = field === 'workSeconds' || field === 'headwaySeconds';
			if (value === undefined && isNeeded) return {};
			return { turn: { ...rest, ...(value !== undefined && { [field]: value }) } as Turn };
		}
	);

const rotation = (
	field: 'everyTurns' | 'everySeconds',
	label: string,
	[unit, least]: [string, number]
): NumberInput =>
	number(
		label,
		[unit, least],
		(drill) => drill.rotation[field],
		(drill, value) => {
			const { [field]: _before, ...rest } = drill.rotation;
			return { rotation: { ...rest, ...(value !== undefined && { [field]: value }) } };
		}
	);

const ground = (field: 'length' | 'width' | 'perPlayer', label: string, unit: string) =>
	number(
		label,
		[unit, field === 'perPlayer' ? 0 : 1],
		(drill) => drill.ground[field],
		(drill, value) => {
			if (field !== 'perPlayer')
				return { ground: { ...drill.ground, [field]: value ?? drill.ground[field] } };
			const { perPlayer: _before, ...rest } = drill.ground;
			return { ground: { ...rest, ...(value !== undefined && { perPlayer: value }) } };
		}
	);

/** How a copy runs: spots and ways have a table of their own. */
export const RUNNING: readonly FieldGroup[] = [
	{
		id: 'spots',
		name: 'Spots, moves and ways',
		fields: ['spots', 'rotation', 'paths'],
		inputs: [
			rotation('everyTurns', 'They move on every … turns', ['', 1]),
			rotation('everySeconds', 'Or every … seconds', ['s', 0.5])
		]
	},
	{
		id: 'turn',
		name: 'A turn',
		fields: ['turn'],
		inputs: [
			turn('workSeconds', 'A turn lasts'),
			turn('headwaySeconds', 'Next starts after'),
			turn('shortSeconds', 'Shortest'),
			turn('longSeconds', 'Longest')
		]
	},
	{
		id: 'group',
		name: 'Players of a copy',
		fields: ['group'],
		inputs: [group('min', 'Least players'), group('ideal', 'Best'), group('max', 'Most')]
	},
	{
		id: 'ground',
		name: 'Ground of a copy',
		fields: ['ground'],
		inputs: [
			ground('length', 'Ground, long', 'm'),
			ground('width', 'Wide', 'm'),
			ground('perPlayer', 'A player at least', 'm²')
		]
	},
	{
		id: 'sides',
		name: 'Sides',
		fields: ['sides'],
		inputs: [
			{
				kind: 'text',
				label: 'Sides, by comma',
				hint: 'left, right',
				value: ({ sides }) => (sides?.names ?? []).join(', '),
				write: ({ sides }, typed) => {
					const names = typed
						.split(',')
						.map((name) => name.trim())
						.filter(Boolean);
					return { sides: names.length > 0 ? { ...sides, names } : undefined };
				}
			},
			number(
				'Change after … turns',
				['', 1],
				({ sides }) => sides?.everyTurns,
				({ sides }, value) =>
					sides ? { sides: orNone({ names: sides.names, everyTurns: value }) } : {}
			)
		]
	}
];
