import Type from 'typebox';

/** A shape with what a field of it means: its unit, its range, and what holds where it is not said. */
export const says = <Schema extends Type.TSchema>(schema: Schema, description: string): Schema =>
	Object.defineProperties(
		{},
		{
			...Object.getOwnPropertyDescriptors(schema),
			description: { value: description, enumerable: true, writable: true, configurable: true }
		}
	) as Schema;

/** Option of every stored or sent object: keys that are not known are refused. */
export const closed = { additionalProperties: false };

/**
 * Names that every object of JavaScript has a property of: something that is looked up by such a name is
 * found where there is nothing.
 */
const RESERVED =
	'(?!(?:__proto__|__defineGetter__|__defineSetter__|__lookupGetter__|__lookupSetter__|constructor|hasOwnProperty|isPrototypeOf|propertyIsEnumerable|toLocaleString|toString|valueOf)$)';

/** An identifier of something that is stored: letters, digits, `-` and `_`. */
export const Id = Type.String({
	pattern: `^${RESERVED}[A-Za-z0-9_-]{1,120}$`,
	expects: 'letters, digits, - and _, 120 at most'
});

/** An identifier within a practice, where dots tell what it belongs to: `duel.l-2`. */
export const PartId = Type.String({
	pattern: `^${RESERVED}[A-Za-z0-9_.-]{1,120}$`,
	expects: 'letters, digits, -, _ and dots, 120 at most'
});

/** A word that stands for something where it is used: a spot, a rung, an item of kit, a role. */
export const Key = Type.String({
	minLength: 1,
	maxLength: 120,
	pattern: `^${RESERVED}[^\\u0000]*$`,
	expects: 'a word or a few, 120 characters at most'
});

/** An area of skill, or a stage of one: `passing`, `passing/2`. */
export const SkillId = Type.String({
	pattern: `^${RESERVED}[A-Za-z0-9_-]{1,110}(/[1-9][0-9]?)?$`,
	expects: 'an area of skill, or one of its stages, such as passing/2'
});

/** A short name that is shown on one line. */
export const Name = Type.String({
	minLength: 1,
	maxLength: 200,
	pattern: '^[^\\u0000]*$',
	expects: 'a name of 200 characters at most'
});

/** A sentence or a few. */
export const Text = Type.String({
	pattern: '^[^\\u0000]*$',
	maxLength: 2000,
	expects: 'text of 2,000 characters at most'
});

/** A local calendar day of these three centuries, `2027-04-06`; the 30th of February is none. */
export const Day = Type.String({
	format: 'date',
	pattern: '^(19|20|21)\\d\\d-',
	expects: 'a day of the calendar, such as 2027-04-06'
});

/** A local clock time, `18:30`. */
export const Clock = Type.String({
	pattern: '^([01]\\d|2[0-3]):[0-5]\\d$',
	expects: 'a time of day, such as 18:30'
});

/** A place in metres, along the length first. */
export const Point = Type.Array(Type.Number(), { minItems: 2, maxItems: 2 });

/** Values by keys of a form; other keys are refused. */
export const byKey = <Value extends Type.TSchema>(key: Type.TString, value: Value) =>
	Type.Record(key, value, closed);

/** How many there are, by item. */
export const Counts = byKey(Key, Type.Number({ minimum: 0, maximum: 100_000 }));

/** Whole minutes of a practice or a part of it. */
export const Minutes = Type.Integer({ minimum: 1, maximum: 600 });
