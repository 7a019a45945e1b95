/** What a rung of a drill may work on, in the order in which a coach is asked. */
export const LEVERS = [
	'opponents',
	'ground',
	'pace',
	'distance',
	'side',
	'touches',
	'target',
	'implement',
	'fatigue',
	'start',
	'score',
	'form'
] as const;
