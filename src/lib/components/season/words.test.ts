import { expect, test } from 'vitest';
import { demoSurroundings } from '../../../../tests/support/demo';
import type { DueSkill, LadderStanding, StepAdvice } from '$core/season';
import { speaker } from '$words';
import { readMessage } from '../../../words/read';
import { dueWords } from './dueWords';
import { adviceWords, rungNames, standingWords } from './ladderWords';

const say = speaker(undefined, readMessage);
const names = ['Static', 'Closer', 'Reverse'];
const advice = (of: Partial<StepAdvice>): StepAdvice => ({
	...{ advice: 'stay', clean: 8, tries: 10, above: 1, below: 0.5, moreTries: null },
	...of
});
const standing = (of: Partial<LadderStanding>): LadderStanding => ({
	...{ drill: 'd', rungs: [], at: 1, last: '2027-04-01', whole: advice({}), each: [] },
	...{ isSplit: false, ruling: null, next: 1, needs: [] },
	...of
});
const due = (of: Partial<DueSkill>): DueSkill =>
	({
		...{
			skill: 'passing',
			owedMinutes: 0,
			gotMinutes: 42.4,
			targetMinutes: 60,
			last: '2027-04-01'
		},
		...{ intervalDays: 6.6, parts: { owed: 0, since: 0, fix: 0, seed: 0 } },
		...of
	}) as DueSkill;

const PUSHED = { season: 's', skill: 'passing', since: '2027-04-05' };

test.each<[Partial<DueSkill>, string]>([
	[{}, '42 of 60 min · main skill 5 days ago, spacing 7'],
	[{ targetMinutes: 0 }, 'no target, 42 min so far · main skill 5 days ago, spacing 7'],
	[{ owedMinutes: 18, last: null }, 'owes 18 of 60 min · not yet this season'],
	[{ last: '2027-04-06' }, '42 of 60 min · main skill today, spacing 7'],
	[
		{ parts: { owed: 0, since: 0, fix: 1, seed: 1 } },
		'42 of 60 min · main skill 5 days ago, spacing 7 · fix list · next opponent'
	],
	[
		{ push: { ...PUSHED, push: 'day', day: '2027-04-13' } },
		'42 of 60 min · main skill 5 days ago, spacing 7 · from Tuesday 13 April'
	],
	[{ push: { ...PUSHED, push: 'off' } }, '42 of 60 min · main skill 5 days ago, spacing 7 · off']
])('what is due says why: %o', (of, words) => {
	expect(dueWords(due(of), say, '2027-04-06')).toBe(words);
});

test('advice names the rung that it leads to, and says so where there is none', () => {
	const at = (place: number, of: Partial<StepAdvice>) =>
		adviceWords(advice(of), { names, at: place }, say);
	expect(at(0, { advice: 'up' })).toBe('8 of 10: step up to Closer');
	expect(at(2, { advice: 'up' })).toMatch(/^8 of 10: the last .* holds$/);
	expect(at(1, { advice: 'down', clean: 3 })).toBe('3 of 10: step down to Static');
	expect(at(0, { advice: 'down', clean: 3 })).toMatch(/there is no lower/);
	expect(at(1, { moreTries: 4 })).toContain('4');
});

test('a ladder says what a coach decided before what was counted, and how it splits', () => {
	const words = (of: Partial<LadderStanding>) => standingWords(standing(of), names, say);
	const ruling = { chosen: 'stay' } as LadderStanding['ruling'];
	const each = [advice({ advice: 'up' }), advice({ advice: 'down' }), advice({ advice: 'up' })];
	expect(words({ whole: null })).toBe('not counted yet');
	expect(words({ ruling, isSplit: true, whole: advice({ advice: 'up' }) })).toBe(
		'8 of 10: step up to Reverse · coach: stay'
	);
	expect(words({ isSplit: true, each: each as LadderStanding['each'] })).toBe(
		'split: 2 up, 1 down'
	);
	for (const drill of demoSurroundings().drills)
		expect(rungNames(drill, say)).toHaveLength(drill.rungs.length + 1);
});
