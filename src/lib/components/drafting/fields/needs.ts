import { fixturesIn, fixturesText, kitIn, kitText, rolesIn, rolesText } from '../lines';
import { number, orNone, type FieldGroup, type NumberInput } from './inputs';

const coaches = (field: 'min' | 'ideal', label: string): NumberInput =>
	number(
		label,
		['', 0, 50],
		(drill) => drill.coaches[field],
		(drill, value) => ({ coaches: { ...drill.coaches, [field]: value ?? drill.coaches[field] } })
	);

const hazard = (field: 'swing' | 'flight', label: string): NumberInput =>
	number(
		label,
		['m', 0],
		(drill) => drill.hazards?.[field],
		(drill, value) => ({ hazards: orNone({ ...drill.hazards, [field]: value }) })
	);

/** What a copy needs, and what is kept clear of it. */
export const NEEDS: readonly FieldGroup[] = [
	{
		id: 'kit',
		name: 'Kit',
		fields: ['kit'],
		inputs: [
			{
				kind: 'lines',
				label: 'Kit',
				hint: '2 ball a copy, 1 bib a player',
				value: kitText,
				write: (_, typed) => ({ kit: kitIn(typed) })
			}
		]
	},
	{
		id: 'fixtures',
		name: 'Must stand in the zone',
		fields: ['fixtures'],
		inputs: [
			{
				kind: 'lines',
				label: 'Must stand in the zone',
				hint: '1 goal',
				value: fixturesText,
				write: (_, typed) => ({ fixtures: fixturesIn(typed) })
			}
		]
	},
	{
		id: 'needsRole',
		name: 'Roles in each copy',
		fields: ['needsRole'],
		inputs: [
			{
				kind: 'lines',
				label: 'Roles in each copy',
				hint: '1 keeper',
				value: rolesText,
				write: (_, typed) => ({ needsRole: rolesIn(typed) })
			}
		]
	},
	{
		id: 'coaches',
		name: 'Adults of a copy',
		fields: ['coaches'],
		inputs: [coaches('min', 'Adults, least'), coaches('ideal', 'Adults, best')]
	},
	{
		id: 'setup',
		name: 'Laying out',
		fields: ['setup'],
		inputs: [
			number(
				'To lay out',
				['s', 0],
				({ setup }) => setup?.seconds,
				({ setup }, seconds) => ({
					setup: seconds === undefined ? undefined : { ...setup, seconds }
				})
			),
			number(
				'By adults',
				['', 0],
				({ setup }) => setup?.adults,
				({ setup }, adults) => ({ setup: setup && orNone({ seconds: setup.seconds, adults }) })
			)
		]
	},
	{
		id: 'explain',
		name: 'To explain',
		fields: ['explainSeconds'],
		inputs: [
			number(
				'To explain',
				['s', 0, 3600],
				({ explainSeconds }) => explainSeconds,
				(_, explainSeconds) => ({ explainSeconds })
			)
		]
	},
	{
		id: 'hazards',
		name: 'Kept clear',
		fields: ['hazards'],
		inputs: [
			hazard('swing', 'Around a swing'),
			hazard('flight', 'Where balls fly'),
			{
				kind: 'tick',
				label: 'they look up, into the sky',
				value: ({ hazards }) => hazards?.looksUp ?? false,
				write: ({ hazards }, looksUp) => ({ hazards: orNone({ ...hazards, looksUp }) })
			}
		]
	}
];
