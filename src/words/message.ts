declare const unsaid: unique symbol;

/** A text of the catalogue. It becomes words once it is said, with its values and in the words of a team. */
export interface Message {
	readonly [unsaid]: true;
}

/**
 * The texts of a part of the application, by key: ICU messages. The words of the glossary are values of
 * every message, as `{player}`, `{players}`, `{aPlayer}` and with a capital `{Player}`, so that a team's
 * own words stand in them.
 */
export const messages = <Key extends string>(
	texts: Readonly<Record<Key, string>>
): Readonly<Record<Key, Message>> => texts as unknown as Readonly<Record<Key, Message>>;

/** What a message is said with, by the names of its arguments. */
export type Values = Readonly<Record<string, string | number | boolean | null | undefined>>;

/** A message that was read: it gives its words for values. */
export type Read = (values: Values) => string;
