import { GLOSSARY } from './glossary';

/** A team's own words, by the word of the glossary that each stands for: `{ period: 'segment' }`. */
export type OwnWords = Readonly<Record<string, string>>;

/** Puts a team's own words into a text of the application; names that are `kept` in it stay as they are. */
export type Wording = (text: string) => string;

/** One and many of an own word: `segment`, or `serie / series` where it is not made with an s. */
export function oneAndMany(own: string): [one: string, many: string] {
	const [one, many] = own.split('/').map((part) => part.trim());
	if (many) return [one, many];
	if (/[^aeiou]y$/i.test(one)) return [one, `${one.slice(0, -1)}ies`];
	return [one, /(s|x|ch|sh)$/i.test(one) ? `${one}es` : `${one}s`];
}

/** So many of a thing: `1 ball`, `3 balls`. */
export function howMany(count: number, thing: string): string {
	const [one, many] = oneAndMany(thing);
	return `${count} ${count === 1 ? one : many}`;
}

/** The own word written as the other was: with a capital, or all in capitals. */
function written(own: string, like: string): string {
	if (like.length > 1 && like === like.toUpperCase()) return own.toUpperCase();
	const isCapital = like[0] !== like[0].toLowerCase();
	return isCapital ? own[0].toUpperCase() + own.slice(1) : own;
}

const plain = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Marks around a name within a text: what a coach has typed is taken as it is. */
const [FROM, TO] = ['\uE000', '\uE001'];
const KEPT = new RegExp(`(${FROM}[^${TO}]*${TO})`);

/** A name that is kept as it is when the text around it is reworded, which takes the marks away. */
export const kept = (name: string): string => `${FROM}${name}${TO}`;

/** A wording that leaves out what is kept. */
const around = (reword: Wording): Wording =>
	function wording(text) {
		if (!text.includes(FROM)) return reword(text);
		const parts = text.split(KEPT);
		return parts.map((part) => (part.startsWith(FROM) ? part.slice(1, -1) : reword(part))).join('');
	};

/**
 * A function that puts a team's own words in the place of those of the glossary, one and many, capitals
 * kept; only whole words change. Without own words it gives texts as they are. For texts of the
 * application alone: what a coach has typed is `kept` within them.
 */
export function wordingOf(own: OwnWords | undefined): Wording {
	const next = new Map<string, string>();
	for (const { word, many } of GLOSSARY) {
		const [one, several] = oneAndMany(own?.[word]?.trim() ?? '');
		if (one === '') continue;
		next.set(word, one);
		next.set(many, several);
	}
	if (next.size === 0) return around((text) => text);
	const longestFirst = [...next.keys()].sort((a, b) => b.length - a.length);
	const pattern = new RegExp(
		`(?<![\\p{L}-])(${longestFirst.map(plain).join('|')})(?![\\p{L}-])`,
		'giu'
	);
	return around((text) =>
		text.replace(pattern, (found) => written(next.get(found.toLowerCase()) ?? found, found))
	);
}
