import { describe, expect, test } from 'vitest';
import { GLOSSARY, kept, oneAndMany, wordingOf } from '.';

describe('wordingOf', () => {
	const w = wordingOf({ period: 'segment', station: 'Posten / Posten', drill: 'play', kit: ' ' });

	test('changes whole words, one and many, with the capitals that they had', () => {
		expect(w('Split a period into 4 stations; Periods with one drill')).toBe(
			'Split a segment into 4 Posten; Segments with one play'
		);
		expect(w('DRILL of the kit')).toBe('PLAY of the kit');
	});

	test('leaves longer words alone', () => {
		expect(w('periodic stationary drilling, a non-station')).toBe(
			'periodic stationary drilling, a non-station'
		);
	});

	test('gives texts back as they are where there are no own words, and knows every word of its own', () => {
		expect(wordingOf(undefined)('Two periods')).toBe('Two periods');
		for (const { word, many } of GLOSSARY) {
			const own = wordingOf({ [word]: 'quux' });
			expect(own(`${word} and ${many}`)).toBe('quux and quuxes');
		}
	});

	test('changes nothing twice: a word may be put in the place of another of the glossary', () => {
		expect(wordingOf({ period: 'block', block: 'piece' })('periods and blocks')).toBe(
			'blocks and pieces'
		);
	});
});

test('names within a text are kept as they are', () => {
	const w = wordingOf({ period: 'segment', drill: 'play' });
	const text = `Period ${kept('Period drill')} has no drill, ${kept('')}drill`;
	expect(w(text)).toBe('Segment Period drill has no play, play');
	expect(wordingOf(undefined)(text)).toBe('Period Period drill has no drill, drill');
});

test('one and many follow the ending', () => {
	expect(['match', 'try', 'play', 'set'].map((word) => oneAndMany(word)[1])).toEqual([
		'matches',
		'tries',
		'plays',
		'sets'
	]);
});
