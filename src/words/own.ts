import { GLOSSARY } from './glossary';
import type { Values } from './message';

/** A team's own words, by the word of the glossary that each stands for: `{ period: 'segment' }`. */
export type OwnWords = Readonly<Record<string, string>>;

/** One and many of an own word: `segment`, or `serie / series` where it is not made with an s. */
export function oneAndMany(own: string): [one: string, many: string] {
	const [one, many] = own.split('/').map((part) => part.trim());
	if (many) return [one, many];
	if (/[^aeiou]y$/i.test(one)) return [one, `${one.slice(0, -1)}ies`];
	return [one, /(s|x|ch|sh)$/i.test(one) ? `${one}es` : `${one}s`];
}

/** So many of a thing that a coach has named: `1 ball`, `3 balls`. */
export function howMany(count: number, thing: string): string {
	const [one, many] = oneAndMany(thing);
	return `${count} ${count === 1 ? one : many}`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The word with its article. Letters decide, but where they are spoken otherwise, as in `unit` and `hour`. */
const withArticle = (word: string) =>
	/^([aeiou]|hour|hono|heir)/i.test(word) && !/^(un[ai]|us[eu]|eu)/i.test(word)
		? `an ${word}`
		: `a ${word}`;

/** A word of the glossary as the name of an argument: `line-up` is `lineUp`. */
const argument = (word: string) => word.replace(/-(\w)/g, (_, letter) => letter.toUpperCase());

/**
 * The words of the glossary, or a team's own for them, as every message can use them: `player`,
 * `players`, `aPlayer` or `anAdult`, and each with a capital in its name for one in the word.
 */
export function wordsOf(own: OwnWords | undefined): Values {
	const values: Record<string, string> = {};
	const put = (name: string, word: string) => {
		values[name] = word;
		values[capital(name)] = capital(word);
	};
	for (const { word, many } of GLOSSARY) {
		const typed = own?.[word]?.trim() ?? '';
		const [one, several] = typed === '' ? [word, many] : oneAndMany(typed);
		put(argument(word), one);
		put(argument(many), several);
		// Written as it reads with the word of the glossary: `aPlayer`, `anAdult`.
		for (const article of ['a', 'an'])
			put(`${article}${capital(argument(word))}`, withArticle(one));
	}
	return values;
}

/** A text of a file with `{ball}`, `{aBall}`, `{Balls}` in it, said in own words; other braces stay. */
export function filledWith(own: OwnWords | undefined): (text: string) => string {
	const words = wordsOf(own);
	return (text) => text.replace(/\{(\w+)\}/g, (all, name) => String(words[name] ?? all));
}
