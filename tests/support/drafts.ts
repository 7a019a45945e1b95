import { randomLcg } from 'd3-random';
import type { DraftInput } from '../../src/core/draft';
import { hasOwnPlace } from '../../src/core/model/family';
import { trained } from '../../src/core/model/skill';
import { DEFAULT_LIMITS, mostDrillMinutes, unsuited } from '../../src/core/practice';
import { standingIn } from '../../src/core/shelf';
import { demoSurroundings, demoTeams } from './demo';

const MINUTES = [30, 45, 60, 75, 90, 90, 120, 150];
const DAYS = ['2027-04-06', '2027-04-08', '2027-04-13', '2027-05-18'];

/** What a made-up team has on a day: some of its players and adults, minutes, what is due, at times half the kit. */
export function randomDraft(seed: number): DraftInput {
	const random = randomLcg(((seed * 7919) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const oneOf = <Item>(items: readonly Item[]) => items[upTo(items.length)];
	const some = <Item>(items: readonly Item[], count: number) =>
		items
			.map((item) => ({ item, order: random() }))
			.sort((a, b) => a.order - b.order)
			.slice(0, count)
			.map(({ item }) => item);
	const around = demoSurroundings(demoTeams()[seed % demoTeams().length]);
	const { players, adults, team, kit } = around;
	const least = Math.min(7, players.length);
	const expected = some(players, least + upTo(players.length - least + 1)).map(({ id }) => id);
	const areas = some(trained(team.skillAreas), 3 + upTo(3));
	return {
		...around,
		kit: random() < 0.2 ? halved(kit) : kit,
		frame: {
			...{ date: oneOf(DAYS), start: '18:30', minutes: oneOf(MINUTES), expected },
			adults: some(adults, Math.max(enoughFor(expected.length), 1 + upTo(adults.length))).map(
				({ id }) => id
			)
		},
		arc: random() < 0.6 ? 'build-up' : 'play-first',
		due: areas.map(({ id }) => ({ skill: id, weight: 1 + upTo(4), minutes: 10 + upTo(40) })),
		...(random() < 0.4 && { unitTime: true }),
		...(random() < 0.3 && { alternatives: 1 }),
		seed
	};
}

/** The same with a brief: up to four drills that everybody could do here, for minutes that suit the age. */
export function briefedDraft(seed: number): DraftInput {
	const input = randomDraft(seed);
	const random = randomLcg(((seed * 104729) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const { team, frame, ground, kit } = input;
	const standing = standingIn({
		players: frame.expected.length,
		adults: frame.adults.length,
		zones: ground.zones,
		kit
	});
	const limits = { ...DEFAULT_LIMITS, ...input.limits };
	const most = mostDrillMinutes({ team, limits });
	const open = input.drills.filter(
		(drill) =>
			!hasOwnPlace(drill) &&
			!drill.needsRole?.length &&
			!unsuited(drill, { team, limits }) &&
			standing(drill).obstacle === null
	);
	const count = Math.min(open.length, Math.max(1, Math.floor((frame.minutes - 35) / 14)), 4);
	const chosen = open
		.map((drill) => ({ drill, order: random() }))
		.sort((a, b) => a.order - b.order)
		.slice(0, count);
	return {
		...input,
		brief: chosen.map(({ drill }) => ({ drill: drill.id, minutes: 6 + upTo(most - 5) }))
	};
}

/** Adults that no age of the teams would have too few of. */
const enoughFor = (players: number) => Math.ceil(players / 6);

const halved = (kit: Readonly<Record<string, number>>) =>
	Object.fromEntries(Object.entries(kit).map(([item, count]) => [item, Math.ceil(count / 2)]));
