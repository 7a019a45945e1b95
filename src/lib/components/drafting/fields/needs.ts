import { number, orNone, type FieldGroup, type NumberInput } from './inputs';
import texts from '$texts/drafting';
import type { Message } from '$words';

const coaches = (field: 'min' | 'ideal', label: Message): NumberInput =>
	number(
		label,
		['', 0, 50],
		(drill) => drill.coaches[field],
		(drill, value) => ({ coaches: { ...drill.coaches, [field]: value ?? drill.coaches[field] } })
	);

const hazard = (field: 'swing' | 'flight', label: Message): NumberInput =>
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
		name: texts.kit,
		fields: ['kit'],
		inputs: []
	},
	{
		id: 'fixtures',
		name: texts.mustStandInTheZone,
		fields: ['fixtures'],
		inputs: []
	},
	{
		id: 'needsRole',
		name: texts.rolesInEachCopy,
		fields: ['needsRole'],
		inputs: []
	},
	{
		id: 'coaches',
		name: texts.adultsOfACopy,
		fields: ['coaches'],
		inputs: [coaches('min', texts.adultsLeast), coaches('ideal', texts.adultsBest)]
	},
	{
		id: 'setup',
		name: texts.layingOut,
		fields: ['setup'],
		inputs: [
			number(
				texts.toLayOut,
				['s', 0],
				({ setup }) => setup?.seconds,
				({ setup }, seconds) => ({
					setup: seconds === undefined ? undefined : { ...setup, seconds }
				})
			),
			number(
				texts.byAdults,
				['', 0],
				({ setup }) => setup?.adults,
				({ setup }, adults) => ({ setup: setup && orNone({ seconds: setup.seconds, adults }) })
			)
		]
	},
	{
		id: 'explain',
		name: texts.toExplain,
		fields: ['explainSeconds'],
		inputs: [
			number(
				texts.toExplain,
				['s', 0, 3600],
				({ explainSeconds }) => explainSeconds,
				(_, explainSeconds) => ({ explainSeconds })
			)
		]
	},
	{
		id: 'hazards',
		name: texts.keptClear,
		fields: ['hazards'],
		inputs: [
			hazard('swing', texts.aroundASwing),
			hazard('flight', texts.whereBallsFly),
			{
				kind: 'tick',
				label: texts.theyLookUpIntoTheSky,
				value: ({ hazards }) => hazards?.looksUp ?? false,
				write: ({ hazards }, looksUp) => ({ hazards: orNone({ ...hazards, looksUp }) })
			}
		]
	}
];
