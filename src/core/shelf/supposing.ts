import Type, { type Static } from 'typebox';
import { fail, ok, type Result, type Misfit } from '../base';
import type { Surroundings } from '../model/bundle';
import { closed, Id, says } from '../model/fields';
import type { Practice } from '../model/practice';

/** What a coach asks a shelf about; what is not said is as it will be at the next practice. */
export const ShelfAsk = Type.Object(
	{
		players: Type.Optional(
			says(Type.Integer({ minimum: 1, maximum: 500 }), 'Players who would come')
		),
		adults: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 100 }), 'Adults who would be free')
		),
		zone: Type.Optional(says(Id, 'The only zone that is free')),
		minutes: Type.Optional(
			says(Type.Integer({ minimum: 1, maximum: 120 }), 'Minutes that there would be')
		)
	},
	closed
);
export type ShelfAsk = Static<typeof ShelfAsk>;

/** A practice, and what it is built from. */
export interface Around {
	practice: Practice;
	surroundings: Surroundings;
}

/** The first `count` of those who come, with nameless others behind them where more are asked for. */
const people = (ids: readonly string[], count: number | undefined, stem: string): string[] =>
	Array.from({ length: count ?? ids.length }, (_, index) => ids[index] ?? `${stem} ${index + 1}`);

/** A practice as if so many came to it and no other zone were free; a misfit where there is no such zone. */
export function supposing<Some extends Around>(
	around: Some,
	{ players, adults, zone }: ShelfAsk
): Result<Some, Misfit> {
	const { practice, surroundings } = around;
	const { ground } = surroundings;
	const zones = ground.zones.filter(({ id }) => zone === undefined || id === zone);
	if (zones.length === 0 && zone !== undefined)
		return fail({ path: ['zone'], message: `"${zone}" is no zone of ${ground.name}` });
	return ok({
		...around,
		practice: {
			...practice,
			expected: people(practice.expected, players, 'player'),
			adults: people(practice.adults, adults, 'adult')
		},
		surroundings: { ...surroundings, ground: { ...ground, zones } }
	});
}
