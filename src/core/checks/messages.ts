import { clockAt, dayName } from '../conditions';
import { kept } from '../words';
import type { Among, FindingCode, Place, Trouble } from './finding';
import { inOwnWords, list, minutes, namesIn, offset, percent, type Plan } from './speech';

/** A trouble, or several of one cause that are told as one. */
type Told = Trouble & { among?: Among };

/** What a finding lies at, as its sentence says it. */
interface Spoken {
	names: ReturnType<typeof namesIn>;
	/** Its block. */
	block: string;
	/** All blocks, periods and players that it lies at. */
	blocks: string;
	periods: string;
	players: string;
	zone: string;
	period: string;
	/** Blocks beside the first. */
	more: number;
	/** A verb for one block, or for several; for one player, or for several. */
	verb(one: string, many: string): string;
	playerVerb(one: string, many: string): string;
	/** The time of day at a second of the practice. */
	clock(second: number): string;
}

function spokenOf({ at, among }: { at: Place; among?: Among }, plan: Plan): Spoken {
	const names = namesIn(plan);
	const all = (several: readonly string[] | undefined, own: string | undefined) =>
		several && several.length > 0 ? several : [own ?? ''];
	const blocks = all(among?.blocks, at.block);
	const players = all(among?.players, at.player);
	return {
		names,
		block: names.block(at.block),
		blocks: list(blocks.map(names.block)),
		periods: list(all(among?.periods, at.period).map(names.period)),
		players: list(players.map(names.player)),
		zone: names.zone(at.zone ?? ''),
		period: names.period(at.period ?? ''),
		more: blocks.length - 1,
		verb: (one, many) => (blocks.length === 1 ? one : many),
		playerVerb: (one, many) => (players.length === 1 ? one : many),
		clock: (second) => clockAt(plan.practice.start, second)
	};
}

/** Two blocks, or the one drill that both are. */
function both({ names }: Spoken, { first, second }: { first: string; second: string }): string {
	const [one, other] = [names.block(first), names.block(second)];
	return one === other ? `two blocks of ${one}` : `${one} and in ${other}`;
}

type Sentences = {
	[Code in FindingCode]: (values: Trouble<Code>['values'], spoken: Spoken, at: Place) => string;
};

const SENTENCES: Sentences = {
	'player-twice': (values, spoken) =>
		`${spoken.players} ${spoken.playerVerb('is', 'are')} in ${both(spoken, values)} at ${spoken.clock(values.atSecond)}.`,
	'adult-twice': (values, spoken, at) =>
		`${spoken.names.adult(at.adult ?? '')} is in ${both(spoken, values)} at ${spoken.clock(values.atSecond)}${spoken.more > 0 ? `, and in ${spoken.more} more at once` : ''}.`,
	'zone-twice': ({ first, second, fromSecond, toSecond }, { names, zone, clock }) =>
		`Zone ${zone} holds ${names.block(first)} and ${names.block(second)} from ${clock(fromSecond)} to ${clock(toSecond)}.`,
	'zone-gone': (_values, { blocks, verb }) =>
		`${blocks} ${verb('stands in a zone', 'stand in zones')} that this ground does not have.`,
	'group-size': ({ players, min, max }, { block }) =>
		`${block} takes ${min} to ${max} players; a group has ${players}.`,
	'too-few-players': ({ reason }, { block }) => `${block} cannot run: ${reason}.`,
	'block-empty': ({ name }, { block }, at) =>
		at.block ? `${block} has nobody or no drill.` : `${kept(name)} has no drill yet.`,
	'player-unplaced': (_values, { players, playerVerb, periods }) =>
		`${players} ${playerVerb('has', 'have')} no place in ${periods}.`,
	'over-time': (values) =>
		`The periods take ${minutes(values.planned)}: ${values.overMinutes} over the ${values.minutes} there are.`,
	'under-time': (values) =>
		`${minutes(values.spareMinutes)} of ${values.minutes} are not used yet.`,
	'no-warm-up': (values, { block }) =>
		`${block} is hard work (effort ${values.effort}) after ${minutes(values.minutes)} of warm-up; it needs ${values.needed}.`,
	waiting: ({ players, waitShare, longestWaitSeconds }, { block }) =>
		`In ${block} ${players} wait ${percent(waitShare)} of the time, up to ${Math.round(longestWaitSeconds)} s at a stretch.`,
	'move-short': ({ moveSeconds, metres, needed }, { period }) =>
		`${period} leaves ${moveSeconds} s to change stations; ${metres} m take ${needed} s.`,
	'slot-length': (values, { period }) =>
		`Slots of ${offset(values.minutes * 60)} min in ${period}: ${values.least} to ${values.most} suit this age.`,
	'talk-long': (values, { period }) =>
		`${period} lasts ${minutes(values.minutes)}; players listen for ${values.limit}.`,
	'hard-after-hard': ({ first, second, effort, nextEffort }) =>
		`${kept(first)} (effort ${effort}) and ${kept(second)} (effort ${nextEffort}) follow each other without a rest.`,
	'kit-short': ({ item, needed, has }, { blocks, verb }) =>
		`${blocks} and what runs beside ${verb('it', 'them')} need ${needed} × ${kept(item)}; there are ${has}.`,
	'fixture-short': ({ items, zone, serves, copies }, { block, names }) =>
		`${block} needs ${kept(items.join(', '))} for each copy; zone ${names.zone(zone)} serves ${serves} of ${copies}.`,
	'role-missing': ({ role, count, has }, { blocks, verb, names }) =>
		`${blocks} ${verb('needs', 'need')} ${count} × ${names.unit(role)} in each group; one has ${has}.`,
	'adults-few': (values, { blocks, verb, clock }) => {
		if ('zones' in values)
			return `No adult is with the players in ${blocks}: under ${values.under}, there must be one in each zone.`;
		const { adults, needed } = values;
		if (!('players' in values))
			return `${blocks} ${verb('needs', 'need')} ${needed === 1 ? 'an adult' : `${needed} adults`} with each copy; one has ${adults === 0 ? 'none' : adults}.`;
		const until = values.until === undefined ? '' : ` until ${clock(values.until)}`;
		return `${values.players} players of this age need ${needed} adults who may have them in charge (one for ${values.each}); ${adults} are there${until}.`;
	},
	'restricted-player': ({ from, until, setBy }, { names, blocks }, at) =>
		`${names.player(at.player ?? '')} is kept out of ${from}${until ? ` up to and including ${dayName(until)}` : ''} by ${kept(setBy)}, and is in ${blocks}.`,
	'contact-day': (values, { blocks }) =>
		`With ${blocks} a player has ${minutes(values.minutes)} of hard contact today; the limit is ${values.limit}.`,
	'water-gap': (values, { clock }, at) =>
		`${minutes(values.minutes)} without water from ${clock(at.fromSecond ?? 0)}; the limit is ${values.limit}.`,
	'stop-long': ({ stopShare, limit }, { blocks, verb }) =>
		`${blocks} ${verb('is', 'are')} stopped for ${percent(stopShare)} of the time; ${percent(limit)} is the limit.`,
	'second-eyes': ({ adult }, { blocks, verb, names }) =>
		`${blocks} ${verb('is live and nobody else watches it', 'are live and nobody else watches them')}; ${names.adult(adult)} is free.`,
	'like-partners': ({ apart }, { block }) =>
		`${block} is for players of like strength; two of a group are ${apart.toFixed(1)} ratings apart.`,
	'clear-space': ({ clear, other, gap }, { block, names }) =>
		`${block} needs ${clear} m clear around it; ${names.block(other)} is ${gap < 0.05 ? 'right beside it' : `${gap.toFixed(1)} m away`}.`,
	'rung-skipped': ({ to, missing }, { block }) =>
		`${block} climbs to "${kept(to)}" without "${kept(missing)}" before it.`,
	'skill-twice': ({ first, skill }, { blocks, verb, names }) =>
		`${blocks} ${verb('has', 'have')} the same main skill as ${names.block(first)}: ${names.skill(skill)}.`,
	'daily-missing': ({ drill }, { names }) =>
		`${names.drill(drill)} is for every practice and not in this one.`,
	'setup-clash': ({ seconds, first, free }, { block, more, verb, names }) =>
		`${block}${more > 0 ? ` and ${more} more beside it` : ''} ${verb('takes', 'take')} ${seconds} s to lay out; ${names.block(first)} leaves its ground ${free} s before.`
};

/** A finding in one plain sentence, in the words of the team. */
export function describeFinding(told: Told, plan: Plan): string {
	// The code names the sentence that its values are for.
	const sentence = SENTENCES[told.code] as Sentences[FindingCode] as (
		values: Trouble['values'],
		spoken: Spoken,
		at: Place
	) => string;
	return inOwnWords(sentence(told.values, spokenOf(told, plan), told.at), plan);
}
