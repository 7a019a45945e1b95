import { greatest, sum } from 'd3-array';
import { randomLcg } from 'd3-random';
import { badInput, fail, type Failure, ok, sameValue, type Outcome, type Search } from '../base';
import type { Surroundings } from '../model/bundle';
import type { Period, Practice } from '../model/practice';
import { evaluate, type Evaluation } from '../playing';
import { mostDrillMinutes, plannedMinutes, toContext, type Plan } from '../practice';
import { slotBounds } from '../sizing';
import { choicesFor, isApart, isForAll, mostWorth, type Choice } from './choices';
import { Filling, TRAINS, type DraftNames, type Taste } from './filling';
import { drillMinutes, judged, owedMost, type Judged } from './judging';
import type { MakeAsked, Pattern, Place } from './frame';
import { Maker, type Made } from './make';
import { mended } from './mend';
import { whyOf } from './reasons';
import { FEWEST_STATIONS, MOVE_SECONDS } from './stationRound';
import { isAsAsked } from './works';
import { Workshop } from './workshop';
import {
	MOST_SEED,
	type Alternative,
	type DraftInput,
	type DraftOutput,
	type Undone,
	type Unlike
} from './shapes';

/** The patterns that are tried; one that an alternative has is not tried for the next. */
const PATTERNS: readonly Pattern[] = [
	{ rounds: 1, isRoundFirst: false, more: 0 },
	{ rounds: 1, isRoundFirst: true, more: 0 },
	{ rounds: 1, isRoundFirst: false, more: 1 },
	{ rounds: 2, isRoundFirst: true, more: 0 },
	{ rounds: 0, isRoundFirst: false, more: 1 },
	{ rounds: 0, isRoundFirst: false, more: 0 }
];

/** Stations of a round, and players that come for each. */
const STATIONS = 4;
const STATION_PLAYERS = 5;
const MOST_A_STATION = 8;

/** Minutes of a round of stations for so many players of an age; 0 where there are too few. */
function roundMinutes(players: number, age: number): number {
	const usual = Math.min(STATIONS, Math.floor(players / STATION_PLAYERS));
	const count = Math.max(usual, Math.ceil(players / MOST_A_STATION));
	if (count < FEWEST_STATIONS) return 0;
	const slot = slotBounds(age).least;
	return Math.ceil(count * slot + ((count - 1) * MOVE_SECONDS) / 60);
}

/** How many patterns are tried for each alternative after the first. */
const TRIED_AGAIN = 3;
/** What a minute at work is worth beside a minute of what is due; for the first alternative the best patterns are tried with both. */
const BUSY_WORTH = { little: 0.1, much: 1.5 };
const TRIED_BUSIER = 4;
/** By how much a seed leans to a drill or away from it. */
const LEAN = 0.25;
/** Minutes of what is owed most below which a draft says why. */
const LEAST_OWED = 3;
/** What is left of the worth of a drill in an alternative to one that has it. */
const AGAIN = 0.25;

/** The empty practice of a frame. */
function practiceOf({ frame, arc, team, season, ground }: DraftInput): Practice {
	const { date, start, minutes, expected, late, adults, groundId } = frame;
	return {
		format: 'fieldplan/practice@1',
		id: 'draft',
		...{ teamId: team.id, seasonId: season.id, date, start, minutes, arc, expected, adults },
		timeZone: team.timeZone,
		place: ground.name,
		...(late && { late }),
		...(groundId !== undefined && { groundId }),
		periods: []
	};
}

/** A draft with the pattern that it was made in. */
interface Tried extends Judged {
	pattern: Pattern;
}

class Drafting {
	private readonly plan: Plan;
	private readonly choices: readonly Choice[];
	private readonly refused: ReadonlyMap<string, Undone['because']>;
	private readonly kept: ReadonlySet<string>;
	private readonly briefed: ReadonlySet<string>;
	/** Weighted minutes of what is due that could be given at the very most. */
	private readonly most: number;
	private readonly workshop: Workshop;

	constructor(
		private readonly input: DraftInput,
		private readonly names: DraftNames
	) {
		const { team, season, players, adults, ground, kit, drills, archived, before, limits } = input;
		const surroundings: Surroundings = {
			...{ team, season, players, adults, ground, kit, drills },
			...(archived && { archived }),
			...(before && { before }),
			...(limits && { limits })
		};
		const met = (input.met ?? []) as [string, string, number][];
		this.plan = { practice: practiceOf(input), context: { ...toContext(surroundings), met } };
		const { choices, refused } = choicesFor(this.plan, input);
		this.choices = choices;
		this.refused = refused;
		this.workshop = new Workshop(this.plan);
		this.most = mostWorth(choices, {
			...{ aims: input.due, minutes: input.frame.minutes },
			each: mostDrillMinutes(this.plan.context)
		});
		this.kept = new Set((input.keep ?? []).map(({ id }) => id));
		this.briefed = new Set((input.brief ?? []).map(({ drill }) => drill));
	}

	/** Whether some drill can run with those who come. */
	get canRun(): boolean {
		return this.choices.some(isForAll);
	}

	/** The tries for one more alternative beside those that there are. */
	*tries(others: readonly Tried[], spent: ReadonlySet<Pattern>): Generator<Tried> {
		const of = this.leaning();
		for (const { practice } of others)
			for (const [id] of drillMinutes(practice))
				if (!this.isDaily(id)) of.set(id, (of.get(id) ?? 1) * AGAIN);
		const open = PATTERNS.filter((pattern) => this.isMeant(pattern) && !spent.has(pattern));
		const taste = (busyWorth: number): Taste => ({ of, busyWorth, names: this.names });
		const isFirst = others.length === 0;
		const made: Tried[] = [];
		for (const pattern of isFirst ? open : open.slice(0, TRIED_AGAIN)) {
			made.push(this.tried(pattern, taste(BUSY_WORTH.little)));
			yield made[made.length - 1];
		}
		if (!isFirst) return;
		for (const { pattern } of made.toSorted((a, b) => b.score - a.score).slice(0, TRIED_BUSIER))
			yield this.tried(pattern, taste(BUSY_WORTH.much));
	}

	private tried(pattern: Pattern, taste: Taste): Tried {
		const filling = new Filling(this.plan, this.input, this.choices, taste, this.workshop);
		const made = new Maker(filling, this.asked(pattern)).make();
		return { ...this.judge(made, evaluate(made.practice, this.plan.context)), pattern };
	}

	/** How much each drill counts at first: another seed leans to others, by a little. */
	private leaning(): Map<string, number> {
		const { seed } = this.input;
		if (seed === undefined) return new Map();
		const random = randomLcg(seed / MOST_SEED);
		return new Map(this.choices.map(({ drill }) => [drill.id, 1 + LEAN * (2 * random() - 1)]));
	}

	/** Whether a pattern has stations where they are wanted, and none where they are not. */
	private isMeant({ rounds }: Pattern): boolean {
		const { stations } = this.input;
		return stations === undefined || stations === rounds > 0;
	}

	private isDaily(id: string): boolean {
		return this.choices.some(({ drill }) => drill.id === id && drill.frequency === 'daily');
	}

	/** A draft as it is given: what was kept is as it came. */
	told(tried: Tried, first: Tried): Alternative {
		const own = new Map((this.input.keep ?? []).map((period) => [period.id, period]));
		const { covers, undone, stops, warnings, dueMinutes, evaluation } = tried;
		const { busyShare, turns } = evaluation.figures;
		const periods = tried.practice.periods.map((period) => own.get(period.id) ?? period);
		const practice = { ...tried.practice, periods };
		return {
			practice,
			why: whyOf(practice, { choices: this.choices, input: this.input }),
			...{ covers, undone, unlike: this.unlike(tried, first) },
			figures: {
				...{ busyShare, turns: turns.mean, stops, warnings, dueMinutes },
				openMinutes: Math.max(0, practice.minutes - plannedMinutes(practice))
			}
		};
	}

	/** A try whose findings are fixed as far as they can be. */
	finished(tried: Tried): Tried {
		return {
			...this.judge(tried, mended(tried.evaluation, { kept: this.kept, asked: this.briefed })),
			pattern: tried.pattern
		};
	}

	private judge(made: Made, evaluation: Evaluation): Judged {
		// What is served is told anew of each practice.
		const told = made.undone.filter(({ what }) => what !== 'due');
		const undone = [...told, ...this.lostIn(evaluation.practice, told)];
		const asFound = judged({ ...made, undone }, evaluation, this.input, this.most);
		return { ...asFound, undone: [...undone, ...this.littleIn(asFound.covers)] };
	}

	/** What is owed most where it gets next to nothing, and why. */
	private littleIn(covers: Alternative['covers']): Undone[] {
		const { due } = this.input;
		const owed = owedMost(due);
		if (owed < 0 || covers[owed].minutes >= Math.min(LEAST_OWED, due[owed].minutes)) return [];
		const some = this.choices.filter((choice) => !isApart(choice) && choice.gives[owed] >= TRAINS);
		const because = some.length === 0 ? 'shelf' : some.some(isForAll) ? 'time' : 'together';
		return [{ what: 'due', skill: due[owed].skill, because }];
	}

	/** Drills of the brief that a practice has no more, or for other minutes than were asked. */
	private lostIn(practice: Practice, told: readonly Undone[]): Undone[] {
		const minutes = drillMinutes(practice);
		return (this.input.brief ?? []).flatMap((item): Undone[] => {
			const { drill } = item;
			if (told.some((each) => each.what === 'brief' && each.drill === drill)) return [];
			const got = minutes.get(drill);
			if (got === undefined) return [{ what: 'brief', drill, because: 'finding' }];
			return isAsAsked(got, item.minutes) ? [] : [{ what: 'brief', drill, because: 'time' }];
		});
	}

	/** What is kept, by where it belongs; locked, so that fitting leaves it its minutes. */
	private keptByPlace(): MakeAsked['kept'] {
		const familyOf = new Map(this.choices.map(({ drill }) => [drill.id, drill.family]));
		const placeOf = ({ kind, lanes }: Period): Place => {
			const family = familyOf.get(lanes[0]?.blocks[0]?.drill?.id ?? '');
			if (kind === 'warm-up') return 'warm-up';
			if (kind === 'scrimmage') return 'game';
			return kind === 'close' || family === 'cool-down' ? 'end' : 'work';
		};
		const kept: Record<Place, Period[]> = { 'warm-up': [], work: [], game: [], end: [] };
		for (const period of this.input.keep ?? [])
			kept[placeOf(period)].push({ ...period, locked: true });
		return kept;
	}

	private asked(pattern: Pattern): MakeAsked {
		const { input, plan } = this;
		return {
			pattern,
			kept: this.keptByPlace(),
			roundMinutes: roundMinutes(input.frame.expected.length, plan.context.team.ages.from),
			scrimmage: input.scrimmage ?? null,
			refused: (drill) => this.refused.get(drill) ?? null
		};
	}

	/** How an alternative differs from the first, so that a coach can tell them apart. */
	unlike(tried: Tried, first: Tried): Unlike {
		if (tried === first) return { code: 'most-due' };
		const hasRound = ({ practice }: Tried) =>
			practice.periods.some(({ kind }) => kind === 'stations');
		const count = ({ practice }: Tried) => drillMinutes(practice).size;
		const more = tried.covers.map(({ skill, minutes }, k) => ({
			skill,
			minutes: Math.round(minutes - first.covers[k].minutes)
		}));
		const most = greatest(more, (a, b) => a.minutes - b.minutes);
		if (hasRound(tried) !== hasRound(first))
			return { code: hasRound(tried) ? 'stations' : 'no-stations' };
		if (most && most.minutes >= TOLD_MINUTES) return { code: 'skill', ...most };
		if (count(tried) > count(first)) return { code: 'drills', drills: count(tried) };
		const { busyShare: busy } = tried.evaluation.figures;
		if (busy > first.evaluation.figures.busyShare + TOLD_SHARE)
			return { code: 'busy', share: Math.min(1, busy) };
		const before = drillMinutes(first.practice);
		const other = sum(drillMinutes(tried.practice), ([id, minutes]) =>
			before.has(id) ? 0 : minutes
		);
		return { code: 'other', minutes: Math.round(other) };
	}
}

/** From what on it is told that a draft gives more of a skill, or keeps players busier. */
const TOLD_MINUTES = 4;
const TOLD_SHARE = 0.03;

const DEFAULT_ALTERNATIVES = 3;
/** How many of the best tries are mended for the first alternative; of the others the best. */
const FINISHED = 2;

/** A pair that met which is none, or stands there twice, with its place. */
function metFault({ met = [] }: DraftInput): Failure | null {
	const seen = new Set<string>();
	for (const [index, entry] of met.entries()) {
		const [a, b, times] = entry;
		const isPair = entry.length === 3 && typeof a === 'string' && typeof b === 'string' && a !== b;
		if (!isPair || typeof times !== 'number' || !Number.isSafeInteger(times) || times < 0)
			return badInput(['met', index], 'expected two ids and how often they met');
		const key = a < b ? `${a} ${b}` : `${b} ${a}`;
		if (seen.has(key)) return badInput(['met', index], 'expected each pair once');
		seen.add(key);
	}
	return null;
}

/** What an input names that is not there, with its place; null where all of it is. */
function stranger({ frame, players, adults, drills, brief = [] }: DraftInput): Failure | null {
	const known = {
		expected: new Set(players.map(({ id }) => id)),
		adults: new Set(adults.map(({ id }) => id))
	};
	for (const key of ['expected', 'adults'] as const) {
		const index = frame[key].findIndex((id) => !known[key].has(id));
		if (index >= 0)
			return badInput(['frame', key, index], 'expected the id of somebody of the team');
	}
	const index = brief.findIndex(({ drill }) => !drills.some(({ id }) => id === drill));
	if (index >= 0)
		return badInput(['brief', index, 'drill'], 'expected the id of a drill that is given');
	return null;
}

/**
 * A search for drafts of a practice: reports after each try, and is over when all alternatives are made.
 * Fails as `bad-input` or as `infeasible` where no drill can run with those who come.
 */
export function draftSearch(input: DraftInput, names: DraftNames): Outcome<Search<DraftOutput>> {
	const fault = stranger(input) ?? metFault(input);
	if (fault) return fail(fault);
	const drafting = new Drafting(input, names);
	if (!drafting.canRun)
		return fail({
			code: 'infeasible',
			message: 'No drill of the shelf can run with the players, adults, ground and kit there are'
		});
	return ok(search(drafting, input.alternatives ?? DEFAULT_ALTERNATIVES));
}

function* search(drafting: Drafting, count: number) {
	const done: Tried[] = [];
	const spent = new Set<Pattern>();
	const report = (extra: readonly Tried[], isDone: boolean) => ({
		best: {
			alternatives: [...done, ...extra].map((tried, _, all) => drafting.told(tried, all[0]))
		},
		done: isDone
	});
	while (done.length < count) {
		const tries: Tried[] = [];
		for (const tried of drafting.tries(done, spent)) {
			tries.push(tried);
			yield report(done.length === 0 ? [best(tries)] : [], false);
		}
		// All patterns are spent: there is nothing else to offer.
		if (tries.length === 0) break;
		const finished: Tried[] = [];
		const most = done.length === 0 ? FINISHED : 1;
		for (const each of tries.toSorted((a, b) => b.score - a.score).slice(0, most)) {
			finished.push(drafting.finished(each));
			yield report([best(finished)], false);
		}
		const made = best(finished);
		spent.add(made.pattern);
		if (!done.some((other) => isAlike(other.practice, made.practice))) done.push(made);
	}
	yield report([], true);
}

/** Whether two practices run the same drills for the same minutes. */
const isAlike = (a: Practice, b: Practice): boolean =>
	sameValue(Object.fromEntries(drillMinutes(a)), Object.fromEntries(drillMinutes(b)));

const best = (tries: readonly Tried[]): Tried =>
	tries.reduce((a, b) => (b.score > a.score ? b : a));

/** Drafts of a practice, all alternatives. Fails as `draftSearch` does. */
export function draft(input: DraftInput, names: DraftNames): Outcome<DraftOutput> {
	const found = draftSearch(input, names);
	if (!found.ok) return found;
	for (;;) {
		const next = found.value.next();
		if (next.done) throw new Error('a search reports that it is done before it ends');
		if (next.value.done) return ok(next.value.best);
	}
}
