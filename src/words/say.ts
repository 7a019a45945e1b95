import type { Message, Read, Values } from './message';
import { wordsOf, type OwnWords } from './own';

/** Says a message with its values, in the words of a team. */
export type Say = (message: Message, values?: Values) => string;

/** Where the catalogue was read when the application was built, only texts without values are left as text. */
const asItStands =
	(text: string): Read =>
	() =>
		text;

/**
 * Says messages in a team's own words, or in those of the glossary. `read` reads ICU messages where that
 * was not done by the build: on the command line.
 */
export function speaker(own: OwnWords | undefined, read: (text: string) => Read = asItStands): Say {
	const words = wordsOf(own);
	return (message, values) => {
		const known = message as unknown as Read | string;
		const said = typeof known === 'string' ? read(known) : known;
		// The words lie behind the values: to copy hundreds of them for each text would take its time.
		return said(values ? Object.assign(Object.create(words), values) : words);
	};
}
