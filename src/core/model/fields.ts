import Type from 'typebox';

/** Option of every stored or sent object: keys that are not known are refused. */
export const closed = { additionalProperties: false };

/** An identifier: any script, not empty. */
export const Id = Type.String({ minLength: 1, maxLength: 120 });

/** A short name that is shown on one line. */
export const Name = Type.String({ minLength: 1, maxLength: 200 });

/** A sentence or a few. */
export const Text = Type.String({ maxLength: 2000 });

/** A local calendar day, `2027-04-06`. */
export const Day = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' });

/** A local clock time, `18:30`. */
export const Clock = Type.String({ pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' });

/** A place in metres, along the length first. */
export const Point = Type.Array(Type.Number(), { minItems: 2, maxItems: 2 });

/** How many there are, by item. */
export const Counts = Type.Record(Type.String(), Type.Number({ minimum: 0 }));

/** Whole minutes of a practice or a part of it. */
export const Minutes = Type.Integer({ minimum: 1, maximum: 600 });

/** Whether a day of the right form is in the calendar: the 30th of February is not. */
export function isDay(day: string): boolean {
	const date = new Date(`${day}T00:00:00Z`);
	return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(day);
}
