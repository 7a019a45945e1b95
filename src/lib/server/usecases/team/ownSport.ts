import Type, { type Static } from 'typebox';
import { closed, Name } from '$core/model/fields';
import type { Sport } from '$core/model/sport';
import type { Zone } from '$core/model/team';
import type { Message } from '$words';
import { say } from '../../say';
import texts from '$texts/ownSport';
import { slugOf } from './slug';
import { listSports } from './sports';

const Side = Type.Number({ minimum: 3, maximum: 1000 });

/** What a coach says of a sport that no kit ships for: its name, its plain ground, what is played with. */
export const OwnSport = Type.Object(
	{
		name: Name,
		/** Metres. */
		length: Side,
		width: Side,
		indoors: Type.Boolean(),
		/** Empty where it is a ball. */
		ball: Type.String({ maxLength: 60, pattern: '^[^\\u0000]*$' })
	},
	closed
);
export type OwnSport = Static<typeof OwnSport>;

/** Four quarters, two halves and the whole of a rectangle. Metres. */
function zonesOf(length: number, width: number): Zone[] {
	const [half, across] = [length / 2, width / 2];
	const quarters = [
		[0, 0],
		[0, across],
		[half, 0],
		[half, across]
	].map(([x, y], index) => {
		const name = 'ABCD'[index];
		return { id: name.toLowerCase(), name, x, y, length: half, width: across };
	});
	const whole = { y: 0, width };
	return [
		...quarters,
		{ id: 'west', name: say(texts.westHalf), x: 0, length: half, ...whole },
		{ id: 'east', name: say(texts.eastHalf), x: half, length: half, ...whole },
		{ id: 'whole', name: say(texts.wholeGround), x: 0, length, ...whole }
	];
}

const area = (id: string, name: Message, stages: readonly Message[]) => ({
	id,
	name: say(name),
	stages: stages.map((stage) => say(stage))
});

/** A sport of one's own as a kit: a plain rectangle, skill areas to begin with, and what every team has. */
export function ownSport({ name, length, width, indoors, ball }: OwnSport): Sport {
	const taken = new Set(listSports().map(({ id }) => id));
	const stem = slugOf(name, 'own');
	const word = ball.trim();
	const outline: [number, number][] = [
		[0, 0],
		[length, 0],
		[length, width],
		[0, width],
		[0, 0]
	];
	return {
		format: 'fieldplan/sport@1',
		id: taken.has(stem) ? `own-${stem}` : stem,
		name: name.trim(),
		ground: {
			id: 'ground',
			name: say(texts.wholeGround),
			length,
			width,
			markings: [{ line: outline }],
			zones: zonesOf(length, width),
			...(indoors && { indoors })
		},
		units: [],
		positions: [],
		team: [],
		skillAreas: [
			area('moving', texts.moving, [texts.moving1, texts.moving2, texts.moving3]),
			area('handling', texts.handling, [texts.handling1, texts.handling2, texts.handling3]),
			area('defending', texts.defending, [texts.defending1, texts.defending2, texts.defending3]),
			area('decisions', texts.decisions, [texts.decisions1, texts.decisions2, texts.decisions3])
		],
		...(word !== '' && word !== 'ball' && { words: { ball: word } }),
		cautions: [say(texts.anchored), say(texts.clearOfWalls), say(texts.knockToTheHead)],
		kit: { [word.split('/')[0].trim() || 'ball']: 12, cone: 24, bib: 14 }
	};
}
