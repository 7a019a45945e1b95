import texts from '$texts/findings';
import type { Say } from '$words';
import { clockAt, dayName } from '../conditions';
import type { Among, FindingCode, Place, Trouble, Values } from './finding';
import { list, offset, percent, telling, type Plan, type Telling } from './speech';

/** A trouble, or several of one cause that are told as one. */
type Told = Trouble & { among?: Among };

/** What a finding lies at, as its sentence says it. */
interface Spoken extends Telling {
	at: Place;
	/** Its block. */
	name: string;
	/** All blocks that it lies at, and how many they are. */
	blocks: { where: string; many: number };
	/** The players that it is about, and how many they are. */
	players: { people: string; many: number };
	periods: string;
	zone: string;
	period: string;
	/** The time of day at a second of the practice. */
	clock(second: number): string;
}

function spokenOf({ at, among }: { at: Place; among?: Among }, plan: Plan, say: Say): Spoken {
	const told = telling(plan, say);
	const { names } = told;
	const all = (several: readonly string[] | undefined, own: string | undefined) =>
		several && several.length > 0 ? several : [own ?? ''];
	const blocks = all(among?.blocks, at.block);
	const players = all(among?.players, at.player);
	return {
		...told,
		at,
		name: names.block(at.block ?? ''),
		blocks: { where: list(blocks.map(names.block), say), many: blocks.length },
		players: { people: list(players.map(names.player), say), many: players.length },
		periods: list(all(among?.periods, at.period).map(names.period), say),
		zone: names.zone(at.zone ?? ''),
		period: names.period(at.period ?? ''),
		clock: (second) => clockAt(plan.practice.start, second)
	};
}

/** Two blocks, or the one drill that both are. */
function both({ names, say }: Spoken, { first, second }: { first: string; second: string }) {
	const [one, other] = [names.block(first), names.block(second)];
	return one === other
		? say(texts.twoBlocksOf, { name: one })
		: say(texts.oneAndInOther, { one, other });
}

type Sentences = {
	[Code in FindingCode]: (values: Trouble<Code>['values'], spoken: Spoken) => string;
};

/** What the sentences on loads are said with. */
function loadValues(
	{ kind, count, limit, player, players }: Values['load-day'],
	{ blocks, names }: Spoken
) {
	return { ...blocks, kind, count, limit, person: names.player(player), others: players - 1 };
}

const SENTENCES: Sentences = {
	'player-twice': (values, spoken) =>
		spoken.say(texts.playerTwice, {
			...spoken.players,
			both: both(spoken, values),
			clock: spoken.clock(values.atSecond)
		}),
	'adult-twice': (values, spoken) => {
		const more = spoken.blocks.many - 1;
		return spoken.say(more > 0 ? texts.adultInMore : texts.adultTwice, {
			person: spoken.names.adult(spoken.at.adult ?? ''),
			both: both(spoken, values),
			clock: spoken.clock(values.atSecond),
			more
		});
	},
	'zone-twice': ({ first, second, fromSecond, toSecond }, { say, names, zone, clock }) =>
		say(texts.zoneTwice, {
			name: zone,
			first: names.block(first),
			second: names.block(second),
			from: clock(fromSecond),
			to: clock(toSecond)
		}),
	'zone-gone': (_values, { say, blocks }) => say(texts.zoneGone, blocks),
	'group-size': ({ players, min, max }, { say, name }) =>
		say(texts.groupSize, { name, min, max, has: players }),
	'too-few-players': ({ reason }, { say, name }) => say(texts.tooFewPlayers, { name, reason }),
	'not-here': ({ players, adults, places }, { say }) =>
		say(texts.notHere, { young: players, grown: adults, places }),
	'block-empty': (values, { say, name, at }) =>
		at.block ? say(texts.blockEmpty, { name }) : say(texts.periodEmpty, { name: values.name }),
	'player-unplaced': (_values, { say, players, periods }) =>
		say(texts.playerUnplaced, { ...players, where: periods }),
	'over-time': ({ planned, overMinutes, minutes }, { say }) =>
		say(texts.overTime, { planned, over: overMinutes, minutes }),
	'under-time': ({ spareMinutes, minutes }, { say }) =>
		say(texts.underTime, { spare: spareMinutes, minutes }),
	'no-warm-up': ({ effort, minutes, needed }, { say, name }) =>
		say(texts.noWarmUp, { name, effort, minutes, needed }),
	waiting: ({ players, waitShare, longestWaitSeconds }, { say, name }) =>
		say(texts.waiting, {
			name,
			count: players,
			share: percent(waitShare),
			longest: Math.round(longestWaitSeconds)
		}),
	'move-short': ({ moveSeconds, metres, needed }, { say, period }) =>
		say(texts.moveShort, { name: period, seconds: moveSeconds, metres, needed }),
	'slot-length': ({ minutes, least, most }, { say, period }) =>
		say(texts.slotLength, { name: period, length: offset(minutes * 60), least, most }),
	'talk-long': ({ minutes, limit }, { say, period }) =>
		say(texts.talkLong, { name: period, minutes, limit }),
	'hard-after-hard': (values, { say }) => say(texts.hardAfterHard, values),
	'kit-short': ({ item, needed, has }, { say, blocks }) =>
		say(texts.kitShort, { ...blocks, item, needed, has }),
	'fixture-short': ({ items, zone, serves, copies }, { say, name, names }) =>
		say(texts.fixtureShort, {
			name,
			items: items.join(', '),
			zoneName: names.zone(zone),
			serves,
			copies
		}),
	'role-missing': ({ role, count, has }, { say, blocks, names }) =>
		say(texts.roleMissing, { ...blocks, role: names.unit(role), count, has }),
	'adults-few': (values, { say, blocks, clock }) => {
		if ('zones' in values) {
			const { under, sight } = values;
			return say(texts.zoneWithoutAdult, { ...blocks, under, sight });
		}
		const { adults: has, needed } = values;
		if (!('players' in values)) return say(texts.adultsForCopies, { ...blocks, needed, has });
		const told = { count: values.players, needed, has, each: values.each };
		return values.until === undefined
			? say(texts.adultsInCharge, told)
			: say(texts.adultsInChargeUntil, { ...told, clock: clock(values.until) });
	},
	'restricted-player': ({ from, until, setBy, reason = '' }, { say, names, blocks, at }) =>
		say(texts.restrictedPlayer, {
			...blocks,
			...{ from, setBy, reason },
			person: names.player(at.player ?? ''),
			isSaid: reason !== '',
			isOpen: until === undefined,
			until: until === undefined ? '' : dayName(until)
		}),
	'contact-day': ({ minutes, limit }, { say, blocks }) =>
		say(texts.contactDay, { ...blocks, minutes, limit }),
	'contact-week': ({ minutes, limit }, { say, blocks }) =>
		say(texts.contactWeek, { ...blocks, minutes, limit }),
	'contact-ramp': ({ level, attended, needed, player, players }, { say, blocks, names }) =>
		say(texts.contactRamp, {
			...blocks,
			...{ level, attended, needed },
			person: names.player(player),
			others: players - 1
		}),
	'contact-row': ({ minutes, before, limit }, { say, blocks }) =>
		say(texts.contactRow, { ...blocks, minutes, before, limit }),
	'too-hard': ({ what, has, most, age }, { say, blocks }) =>
		say(texts.tooHard, { ...blocks, what, has, most, age }),
	'age-unsuited': ({ from, to }, { say, blocks }) =>
		say(texts.ageUnsuited, { ...blocks, from, to }),
	'drill-long': ({ minutes, limit }, { say, blocks }) =>
		say(texts.drillLong, { ...blocks, minutes, limit }),
	'hard-long': ({ minutes, limit, easy }, { say, clock, at }) =>
		say(texts.hardLong, { minutes, limit, easy, from: clock(at.fromSecond ?? 0) }),
	'game-near': ({ days, within }, { say, blocks }) =>
		say(texts.gameNear, { ...blocks, days, within }),
	'load-rest': ({ kind, count, date, until, player, players }, { say, blocks, names }) =>
		say(texts.loadRest, {
			...blocks,
			...{ kind, count },
			day: dayName(date),
			until: dayName(until),
			person: names.player(player),
			others: players - 1
		}),
	'clearance-due': ({ from, setBy, until }, { say, names, at }) =>
		say(texts.clearanceDue, {
			...{ from, setBy },
			until: dayName(until),
			person: names.player(at.player ?? '')
		}),
	'sun-on-catch': (_values, { say, blocks }) => say(texts.sunOnCatch, blocks),
	'load-day': (values, spoken) => spoken.say(texts.loadDay, loadValues(values, spoken)),
	'load-week': (values, spoken) => spoken.say(texts.loadWeek, loadValues(values, spoken)),
	'stand-long': ({ seconds, limit }, { say, blocks }) =>
		say(texts.standLong, { ...blocks, seconds: Math.round(seconds), limit }),
	'sun-in-eyes': (_values, { say, period }) => say(texts.sunInEyes, { name: period }),
	'water-gap': ({ minutes, limit }, { say, clock, at }) =>
		say(texts.waterGap, { minutes, limit, from: clock(at.fromSecond ?? 0) }),
	'stop-long': ({ stopShare, limit }, { say, blocks }) =>
		say(texts.stopLong, { ...blocks, share: percent(stopShare), limit: percent(limit) }),
	'second-eyes': ({ adult }, { say, blocks, names }) =>
		say(texts.secondEyes, { ...blocks, person: names.adult(adult) }),
	'like-partners': ({ apart }, { say, name }) =>
		say(texts.likePartners, { name, apart: apart.toFixed(1) }),
	'clear-space': ({ clear, other, gap }, { say, name, names }) =>
		say(gap < 0.05 ? texts.clearSpaceNone : texts.clearSpace, {
			name,
			clear,
			other: names.block(other),
			gap: gap.toFixed(1)
		}),
	'look-up-close': ({ clear, gap }, { say, blocks }) =>
		say(texts.lookUpClose, { ...blocks, clear, gap: gap.toFixed(1) }),
	'rung-skipped': ({ to, missing }, { say, name }) => say(texts.rungSkipped, { name, to, missing }),
	'skill-twice': ({ first, skill }, { say, blocks, names }) =>
		say(texts.skillTwice, { ...blocks, first: names.block(first), skill: names.skill(skill) }),
	'floor-short': ({ skill, minutes, got }, { say, names }) =>
		say(texts.floorShort, { skill: names.skill(skill), minutes, got: Math.round(got) }),
	'daily-missing': ({ drill }, { say, names }) =>
		say(texts.dailyMissing, { name: names.drill(drill) }),
	'zone-small': ({ zone, copies, holds }, { say, name, names }) =>
		say(texts.zoneSmall, { name, zoneName: names.zone(zone), copies, holds }),
	'setup-clash': ({ seconds, first, free }, { say, name, names, blocks }) => {
		const more = blocks.many - 1;
		return say(more > 0 ? texts.setupClashMore : texts.setupClash, {
			name,
			more,
			seconds,
			first: names.block(first),
			free
		});
	}
};

/** A finding in one plain sentence, in the words of the team. */
export function describeFinding(told: Told, plan: Plan, say: Say): string {
	// The code names the sentence that its values are for.
	const sentence = SENTENCES[told.code] as Sentences[FindingCode] as (
		values: Trouble['values'],
		spoken: Spoken
	) => string;
	return sentence(told.values, spokenOf(told, plan, say));
}
