import type { Drill } from '$core/model/drill';
import { number, orNone, type FieldGroup, type NumberInput } from './inputs';
import texts from '$texts/drafting';
import type { Message } from '$words';

const group = (field: 'min' | 'ideal' | 'max', label: Message): NumberInput =>
	number(
		label,
		['', 1, 500],
		(drill) => drill.group[field],
		(drill, value) => ({ group: { ...drill.group, [field]: value ?? drill.group[field] } })
	);

type Turn = Drill['turn'];
const turn = (field: Exclude<keyof Turn, 'loads'>, label: Message): NumberInput =>
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
	label: Message,
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

const ground = (field: 'length' | 'width' | 'perPlayer', label: Message, unit: string) =>
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
		name: texts.spotsMovesAndWays,
		fields: ['spots', 'rotation', 'paths'],
		inputs: [
			rotation('everyTurns', texts.theyMoveOnEveryTurns, ['', 1]),
			rotation('everySeconds', texts.orEverySeconds, ['s', 0.5]),
			number(
				texts.turnsThatEndOtherwise,
				['%', 1, 99],
				(drill) => drill.rotation.result && Math.round(drill.rotation.result.share * 100),
				(drill, value) => {
					const { result, ...rest } = drill.rotation;
					const share = (value ?? 0) / 100;
					if (value === undefined) return { rotation: rest };
					return { rotation: { ...rest, result: { moves: {}, ...result, share } } };
				}
			)
		]
	},
	{
		id: 'turn',
		name: texts.turn,
		fields: ['turn'],
		inputs: [
			turn('workSeconds', texts.turnLasts),
			turn('headwaySeconds', texts.nextStartsAfter),
			turn('shortSeconds', texts.shortest),
			turn('longSeconds', texts.longest)
		]
	},
	{
		id: 'group',
		name: texts.playersOfACopy,
		fields: ['group'],
		inputs: [group('min', texts.leastPlayers), group('ideal', texts.best), group('max', texts.most)]
	},
	{
		id: 'ground',
		name: texts.groundOfACopy,
		fields: ['ground'],
		inputs: [
			ground('length', texts.groundLong, 'm'),
			ground('width', texts.wide, 'm'),
			ground('perPlayer', texts.playerAtLeast, 'm²')
		]
	},
	{
		id: 'sides',
		name: texts.sides,
		fields: ['sides'],
		inputs: [
			number(
				texts.changeAfterTurns,
				['', 1],
				({ sides }) => sides?.everyTurns,
				({ sides }, value) => (sides ? { sides: orNone({ ...sides, everyTurns: value }) } : {})
			)
		]
	}
];
