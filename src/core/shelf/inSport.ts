import { sum } from 'd3-array';
import type { Drill, RungChange } from '../model/drill';
import { entryAt } from '../model/ages';
import { isGame, isTwoSided } from '../model/family';
import type { Limits } from '../model/limits';
import type { Sport } from '../model/sport';
import { onRung } from '../playing';

/** What a sport says of the drills for any sport: how its games meet and on how much ground, what swings and flies, what costs a body. */
export type SportFacts = Partial<
	Pick<Sport, 'contact' | 'hazards' | 'softBall' | 'sends' | 'loads' | 'words' | 'team' | 'ground'>
>;

/** Contact where a sport does not say it: bodies meet in its games, and may in small ones. */
const USUAL_CONTACT = { game: 2, small: 1 };

/** What is said beside a game whose contact is less at this age than the sport has. */
const NO_TACKLING = 'No tackling at this age: a touch, a tag or a steal of the ball.';

/** What a ball that is sent costs, as drills for any sport name it. */
const SENDS = 'sends';

/** A kind of load as a sport counts it; null where it does not count it. */
const loadIn = ({ sends, loads = [] }: SportFacts, kind: string): string | null => {
	if (kind === SENDS) return sends ?? null;
	return loads.includes(kind) ? kind : null;
};

function turnIn({ loads, ...turn }: Drill['turn'], sport: SportFacts): Drill['turn'] {
	const own = (loads ?? []).flatMap(({ kind, ...load }) => {
		const counted = loadIn(sport, kind);
		return counted === null ? [] : { ...load, kind: counted };
	});
	return own.length > 0 ? { ...turn, loads: own } : turn;
}

/** The contact of a drill in a sport at an age: that of its games where two sides meet, no more than suits the age. */
function contactIn(
	run: Drill,
	{ contact = USUAL_CONTACT }: SportFacts,
	most: number
): { contact: number; isLess: boolean } {
	if (!isTwoSided(run)) return { contact: run.contact, isLess: false };
	const own = isGame(run) && run.family === 'scrimmage' ? contact.game : contact.small;
	const level = Math.max(run.contact, own);
	return { contact: Math.min(level, most), isLess: level > most };
}

/** A game at practice takes this share of the ground that each player has in the full one, and no more than so many square metres. */
const GAME_SHARE = 0.4;
const MOST_METRES = 100;
/** The young play on less: this share of it under an age. */
const YOUNG = [
	{ under: 9, share: 0.4 },
	{ under: 12, share: 0.6 },
	{ under: 16, share: 0.8 }
];
/** Who waits to come on in a game, at most; more than these play a game of their own. */
const SUBSTITUTES = 4;

/** The sides of a game as the sport has them, and the ground that they take; nothing for what is no full game. */
function gameIn(
	drill: Drill,
	{ team, ground }: SportFacts,
	age: number
): Partial<Pick<Drill, 'spots' | 'group' | 'ground'>> {
	if (drill.family !== 'scrimmage' || !team?.length || !ground) return {};
	const { share } = YOUNG.find(({ under }) => age < under) ?? { share: 1 };
	const full = (ground.length * ground.width) / (2 * team.length);
	const spots = drill.spots.map((spot) =>
		spot.upTo === undefined
			? spot
			: { ...spot, upTo: Math.max(spot.count, Math.min(spot.upTo, team.length)) }
	);
	const playing = sum(spots, ({ count, upTo = count }) => upTo);
	return {
		spots,
		group: { ...drill.group, max: Math.min(drill.group.max, playing + SUBSTITUTES) },
		ground: {
			...drill.ground,
			perPlayer: Math.round(share * Math.min(MOST_METRES, GAME_SHARE * full))
		}
	};
}

/**
 * A drill for any sport as a team of one runs it: the sides, the ground and the contact of its games, clear space
 * around what swings and flies in it, a soft ball for the young, and loads that it counts. Its words are already
 * those of the sport.
 */
export function inSport(
	drill: Drill,
	sport: SportFacts,
	{ age, limits }: { age: number; limits: Pick<Limits, 'contactCaps'> }
): Drill {
	const most = entryAt(limits.contactCaps, age)?.contact ?? 4;
	const ball = sport.words?.ball ?? 'ball';
	const soft = sport.softBall && age < sport.softBall.under ? sport.softBall.item : ball;
	const kitIn = (kit: Drill['kit']) =>
		kit.map((need) => (need.item === ball ? { ...need, item: soft } : need));
	const plays = drill.kit.some(({ item }) => item === ball);
	const { contact, isLess } = contactIn(drill, sport, most);
	const changeIn = (id: string, set: RungChange): RungChange => {
		const onIt = contactIn(onRung(drill, id), sport, most);
		return {
			...set,
			...(set.turn && { turn: turnIn(set.turn, sport) }),
			...(set.kit && { kit: kitIn(set.kit) }),
			...(onIt.contact !== contact && { contact: onIt.contact })
		};
	};
	return {
		...drill,
		...gameIn(drill, sport, age),
		contact,
		turn: turnIn(drill.turn, sport),
		kit: kitIn(drill.kit),
		...(plays && sport.hazards && { hazards: { ...sport.hazards, ...drill.hazards } }),
		...(isLess && { cautions: [...drill.cautions, NO_TACKLING] }),
		rungs: drill.rungs.map((rung) => {
			const set = changeIn(rung.id, rung.set ?? {});
			return Object.keys(set).length > 0 ? { ...rung, set } : rung;
		})
	};
}
