import { splitEvenly } from '../base';
import {
	newLane,
	periodFromDrill,
	roundPlayers,
	plainPeriod,
	splitIntoStations,
	stationGives,
	stationPlayers,
	suggestStations,
	unitBeside,
	type StationWish
} from '../building';
import type { Block, Group, Lane, Period, Practice } from '../model/practice';
import { isStation, keptOutOfDrill, playersOfCopy } from '../playing';
import { applyEdit, idMaker, idsIn, type Plan } from '../practice';
import { mostStations } from '../sizing';
import { aimsOf, isHard, shareOf, Wanted, type Choice } from './choices';
import type { Form, Part } from './outline';
import type { Workshop } from './workshop';
import type { DraftInput, Reason } from './shapes';

/** A practice that was made, and why each block is in it. */
export interface Made {
	practice: Practice;
	why: Record<string, Reason[]>;
}

/** Names of the periods that are no drills; the interface says them in its language. */
export interface DraftNames {
	water: string;
	talk: string;
	stations: string;
	units: string;
}

/** How drills are chosen in one try. */
export interface Taste {
	/** How much of a drill's worth counts, by id; 1 where it is not said. */
	of: ReadonlyMap<string, number>;
	/** Names of the periods. */
	names: DraftNames;
}

const APART = new Set(['warm-up', 'scrimmage', 'cool-down']);
export const MOVE_SECONDS = 30;
const DRILLS_TRIED = 5;
/** What a daily drill gets at least, and what another beside it in the same stretch. */
const DAILY_MINUTES = 5;
const LEAST_OTHER = 6;
/** Two drills after each other have no less than this. */
const LEAST_PAIR = 14;
/** A station takes a group of at least so many, and no more than these. */
const STATION_GROUP = 3;
const MOST_STATION_GROUP = 10;
export const FEWEST_STATIONS = 3;
/** Share of its time that a group may be in line at a station before that counts against it. */
const LONG_WAIT = 0.47;

/** What a station is worth beside one that keeps its group busy. */
const worthWaiting = (share: number): number => (share > LONG_WAIT ? 1 - share : 1);
/** A daily drill that not everybody does gets a lane of its own for no less than this. */
const isApart = ({ drill }: Choice) => APART.has(drill.family ?? '');

/** The drill of a choice with its rung, as the builders take them. */
const rungOf = ({ drill, rung }: Choice) => ({ drill, ...(rung !== undefined && { rung }) });

/** Whether a stretch holds, and the drill that is to blame where it does not. */
interface Held {
	isHeld: boolean;
	blamed?: string;
}

/** How often a stretch is tried, each time without the drill that stopped it. */
const ATTEMPTS = 5;

/** A lane for a daily drill that only some do. */
interface DailyLane {
	lane: Lane;
	groups: Group[];
	choice: Choice;
	players: readonly string[];
}

/** Whether every copy of a block has as many players as its drill takes. */
const holdsAll = (period: Period, { copies }: Block, { run }: Choice): boolean =>
	copies.every((copy) => {
		const { length } = playersOfCopy(period, copy);
		return length >= run.group.min && length <= run.group.max;
	});

/** Makes a practice part by part, each from what the parts before it have left wanted. */
export class Maker {
	private practice: Practice;
	private readonly why: Record<string, Reason[]> = {};
	private readonly used = new Set<string>();
	/** Drills that would have stopped the stretch that is being made. */
	private readonly refused = new Set<string>();
	private readonly wanted: Wanted;
	private hardMinutes = 0;

	constructor(
		private readonly plan: Plan,
		private readonly input: DraftInput,
		private readonly choices: readonly Choice[],
		private readonly taste: Taste,
		private readonly workshop: Workshop
	) {
		this.practice = plan.practice;
		this.wanted = new Wanted(aimsOf(input));
		for (const period of input.keep ?? []) this.countKept(period);
	}

	/** The practice made of some parts; a part that nothing can fill is left out. */
	make(parts: readonly Part[]): Made {
		this.hardMinutes += this.hardInGames(parts);
		for (const part of parts) this.add(part);
		return { practice: this.practice, why: this.why };
	}

	/** Minutes of hard contact that games will take: the work before them leaves so many. */
	private hardInGames(parts: readonly Part[]): number {
		const games = parts.filter(({ kind }) => kind === 'scrimmage');
		const hard = this.choices.filter(({ drill }) => drill.family === 'scrimmage');
		const isCounted = hard.length > 0 && hard.every((choice) => isHard(choice, this.plan));
		return isCounted ? games.reduce((sum, { minutes }) => sum + minutes, 0) : 0;
	}

	private get now(): Plan {
		return { practice: this.practice, context: this.plan.context };
	}

	private countKept(period: Period): void {
		for (const block of period.lanes.flatMap(({ blocks }) => blocks)) {
			const choice = this.choices.find(({ drill }) => drill.id === block.drill?.id);
			if (!choice) continue;
			this.used.add(choice.drill.id);
			this.wanted.take(choice, block.minutes);
		}
	}

	private makeId(): (stem: string) => string {
		return idMaker([...this.practice.periods, ...(this.input.keep ?? [])].flatMap(idsIn));
	}

	private append(period: Period): void {
		this.practice = { ...this.practice, periods: [...this.practice.periods, period] };
	}

	private add(part: Part): void {
		const { minutes } = part;
		const { names } = this.taste;
		switch (part.kind) {
			case 'water':
				// Where nothing filled the stretch between two drinks, one of them is enough.
				if (this.practice.periods.at(-1)?.kind === 'water') break;
				this.append({
					...plainPeriod('water', { id: this.makeId()('water'), name: names.water, minutes }),
					// A drink is no shorter where time is, and no longer where there is time to spare.
					...{ min: minutes, max: minutes }
				});
				break;
			case 'talk':
				this.append(plainPeriod('talk', { id: this.makeId()('talk'), name: names.talk, minutes }));
				break;
			case 'kept':
				this.append(part.period);
				break;
			case 'work':
				this.work(part.form, minutes);
				break;
			default:
				this.whole(part.kind, minutes);
		}
	}

	/** A warm-up, a game or a cool-down of the shelf that all can do. */
	private whole(family: 'warm-up' | 'scrimmage' | 'cool-down', minutes: number): void {
		const own = this.choices.filter(({ drill, isForAll }) => drill.family === family && isForAll);
		const isDaily = ({ drill }: Choice) => Number(drill.frequency === 'daily');
		const order = own.toSorted(
			(a, b) => isDaily(b) - isDaily(a) || this.value(b, minutes) - this.value(a, minutes)
		);
		const reason: Reason = { code: family === 'scrimmage' ? 'game' : family };
		for (const choice of order) {
			if (!this.together(choice, minutes, reason)) continue;
			if (family === 'scrimmage') this.lineUp(choice, minutes);
			return;
		}
	}

	/** Who plays where in which shift of the game that was added last, where the team has positions. */
	private lineUp({ run }: Choice, minutes: number): void {
		const { team } = this.plan.context;
		const period = this.practice.periods[this.practice.periods.length - 1];
		const [block] = period.lanes[0].blocks;
		const [copy] = block.copies;
		if (!team.positions || block.copies.length > 1) return;
		const players = playersOfCopy(period, copy);
		const key = JSON.stringify(['line-up', run.id, minutes, players]);
		const plan = this.workshop.gamePlan(key, { drill: run, players, minutes });
		if (!plan) return;
		const blocks = [{ ...block, lineup: plan }];
		const lanes = [{ ...period.lanes[0], blocks }, ...period.lanes.slice(1)];
		this.practice = {
			...this.practice,
			periods: [...this.practice.periods.slice(0, -1), { ...period, lanes }]
		};
	}

	/** Fills a stretch of work in the form that is meant, or in another where that cannot be. */
	private work(form: Form, minutes: number): boolean {
		if (form === 'units') return this.units(minutes) || this.work('together', minutes);
		if (form === 'stations') return this.stations(minutes) || this.drills(minutes);
		if (form === 'pair' && minutes >= LEAST_PAIR) {
			const [first, second] = splitEvenly(minutes, 2);
			if (this.oneDrill(first)) return this.oneDrill(second) || this.stations(second);
		}
		return this.oneDrill(minutes) || this.stations(minutes);
	}

	/** Drills after each other, none longer than players go without water. */
	private drills(minutes: number): boolean {
		const count = Math.ceil(minutes / Math.max(LEAST_PAIR, this.plan.context.limits.waterMinutes));
		return splitEvenly(minutes, count)
			.map((each) => this.oneDrill(each))
			.some(Boolean);
	}

	/** The best drill that is left for everybody at once. */
	private oneDrill(minutes: number): boolean {
		const order = this.inOrder(minutes, ({ isForAll }) => isForAll);
		const [daily, other] = order;
		const isDaily = daily?.drill.frequency === 'daily';
		if (isDaily && other && minutes >= DAILY_MINUTES + LEAST_OTHER) {
			// A daily drill that gives less of what is due than another gets its few minutes.
			const isWorthLess = this.wanted.worth(daily, minutes) < this.wanted.worth(other, minutes);
			if (isWorthLess && this.together(daily, DAILY_MINUTES))
				return this.oneDrill(minutes - DAILY_MINUTES) || true;
		}
		return order.slice(0, DRILLS_TRIED).some((choice) => this.together(choice, minutes));
	}

	private together(choice: Choice, minutes: number, reason?: Reason): boolean {
		const id = this.makeId()(choice.drill.id);
		const period =
			(!isApart(choice) && this.besideDaily(choice, id, minutes)) ||
			this.workshop.period(`${id} ${minutes}`, () =>
				periodFromDrill(this.now, { ...rungOf(choice), id, minutes })
			);
		if (!period) return false;
		this.append(period);
		for (const { id: block } of period.lanes.at(-1)?.blocks ?? [])
			this.explain(block, choice, minutes, reason);
		this.take(choice, minutes);
		return true;
	}

	/** A drill for the others beside a daily one that only some do; null where there is none, or no room for both. */
	private besideDaily(choice: Choice, id: string, minutes: number): Period | null {
		const plain = plainPeriod('units', { id, name: choice.drill.name, minutes });
		const daily = this.laneBeside(plain);
		if (!daily) return null;
		const { practice, context } = this.now;
		const elsewhere = new Set(daily.players);
		const players = practice.expected.filter(
			(each) =>
				!elsewhere.has(each) && !keptOutOfDrill(context.playerById.get(each), choice.run, this.now)
		);
		const made = newLane(this.now, {
			...rungOf(choice),
			...{ period: plain, players, minutes, beside: [daily.lane] },
			...{ stem: id, makeId: this.makeId() }
		});
		if (!made) return null;
		const groups = [...daily.groups, ...made.groups];
		const period: Period = {
			...plain,
			...{ rank: 'should', lanes: [daily.lane, made.lane] },
			...(groups.length > 0 && { groups })
		};
		const holding = this.workshop.holding(period);
		if (!holding) return null;
		this.explain(daily.lane.blocks[0].id, daily.choice, minutes);
		this.used.add(daily.choice.drill.id);
		return holding;
	}

	/** Daily drills that were not run yet and that only players of a role do, who are there in number. */
	private dailyOfSome(): { choice: Choice; role: string; players: string[] }[] {
		const { playerById } = this.plan.context;
		return this.choices.flatMap((choice) => {
			const { drill, run } = choice;
			const [need] = run.needsRole ?? [];
			const isOut = this.used.has(drill.id) || this.refused.has(drill.id);
			if (drill.frequency !== 'daily' || !need || isOut) return [];
			const players = this.practice.expected.filter((id) => {
				const player = playerById.get(id);
				return player?.unit === need.role || player?.positions?.includes(need.role);
			});
			const isMany = players.length >= run.group.min && players.length <= run.group.max;
			return isMany ? [{ choice, role: need.role, players }] : [];
		});
	}

	/** A round of stations, with a lane beside it for a daily drill that only some do. */
	private stations(minutes: number): boolean {
		return this.withoutBlamed(() => this.stationsOnce(minutes));
	}

	/** Tries a stretch again without the drill that would have stopped it, a few times. */
	private withoutBlamed(attempt: () => Held): boolean {
		for (let k = 0; k < ATTEMPTS; k += 1) {
			const held = attempt();
			if (held.isHeld || held.blamed === undefined) {
				this.refused.clear();
				return held.isHeld;
			}
			this.refused.add(held.blamed);
		}
		this.refused.clear();
		return false;
	}

	private stationsOnce(minutes: number): Held {
		const { context } = this.plan;
		const id = this.makeId()('stations');
		const empty: Period = {
			...plainPeriod('stations', { id, name: this.taste.names.stations, minutes }),
			...{ slots: [], groups: [], min: Math.max(1, Math.round(minutes * 0.7)) }
		};
		const beside = this.laneBeside(empty);
		const period = beside ? { ...empty, lanes: [beside.lane], groups: beside.groups } : empty;
		const players = stationPlayers(this.now, period);
		const wishes = this.stationWishes(period, players);
		if (!wishes) return { isHeld: false };
		const slot = minutes / wishes.length;
		const edit = splitIntoStations(
			{ practice: this.practice, context },
			{
				...{ period, wishes, moveSeconds: MOVE_SECONDS },
				sizes: splitEvenly(players.length, wishes.length)
			}
		);
		this.append(period);
		const applied = applyEdit(this.practice, edit);
		if (!applied.ok) {
			this.practice = { ...this.practice, periods: this.practice.periods.slice(0, -1) };
			return { isHeld: false };
		}
		const before = this.practice;
		this.practice = applied.value.practice;
		this.onRungs(id);
		const held = this.holdLast();
		if (!held.isHeld) {
			this.practice = { ...before, periods: before.periods.slice(0, -1) };
			return held;
		}
		this.explainStations(id, wishes, slot);
		if (beside) {
			this.take(beside.choice, minutes);
			this.explain(beside.lane.blocks[0].id, beside.choice, minutes);
		}
		return held;
	}

	/** Stations that their groups can run without long waits: as many as there is time for, or fewer. */
	private stationWishes(period: Period, players: readonly string[]): StationWish[] | null {
		const { context } = this.plan;
		const { minutes } = period;
		const most = mostStations(minutes, {
			age: context.team.ages.from,
			moveSeconds: MOVE_SECONDS
		});
		const least = Math.max(FEWEST_STATIONS, Math.ceil(players.length / MOST_STATION_GROUP));
		for (
			let count = Math.min(most, Math.floor(players.length / STATION_GROUP));
			count >= least;
			count -= 1
		) {
			const each = minutes / count;
			const group = Math.ceil(players.length / count);
			const waits = new Map(
				this.choices.map((choice) => [choice, this.waitAt(choice, group, each)])
			);
			const order = this.inOrder(
				each,
				(choice) => waits.get(choice) !== null,
				(choice) => worthWaiting(waits.get(choice) ?? 0)
			);
			const wishes = suggestStations(this.now, {
				...{ period, kept: [], beside: period.lanes, count, players, minutes: each },
				first: order.map(({ run }) => run)
			});
			const isMeant = ({ drill }: StationWish) => order.some(({ run }) => run === drill);
			if (wishes.length < count || !wishes.every(isMeant)) continue;
			// Who is kept out of one station is out of the round: the groups are smaller then.
			const drills = wishes.map(({ drill }) => drill);
			const smallest = Math.floor(roundPlayers(this.now, period, drills).length / count);
			if (drills.every(({ group: { min } }) => smallest >= min)) return wishes;
		}
		return null;
	}

	/** Share of its time that a group is in line at a station, over what suits; null where it cannot run the drill. */
	private waitAt({ run }: Choice, players: number, minutes: number): number | null {
		if (players < run.group.min || players > run.group.max) return null;
		const given = stationGives(run, { players, minutes });
		if (!given) return null;
		return run.restByDesign ? 0 : given.share.wait;
	}

	/** Fixes the last period where it would stop the practice; says which drill is to blame where it cannot be fixed. */
	private holdLast(): Held {
		const { periods } = this.practice;
		const { period, blamed } = this.workshop.held(periods[periods.length - 1]);
		if (period) this.practice = { ...this.practice, periods: [...periods.slice(0, -1), period] };
		return { isHeld: period !== null, ...(blamed !== undefined && { blamed }) };
	}

	/** Stations run their drills on the rungs where their ladders go on. */
	private onRungs(id: string): void {
		const rungs = new Map(this.choices.map(({ drill, rung }) => [drill.id, rung]));
		const climbed = (block: Block): Block => {
			const rung = rungs.get(block.drill?.id ?? '');
			if (rung === undefined) return block;
			return { ...block, climb: block.climb.map((step) => ({ ...step, rung })) };
		};
		this.practice = {
			...this.practice,
			periods: this.practice.periods.map((period) =>
				period.id === id
					? {
							...period,
							lanes: period.lanes.map((lane) => ({ ...lane, blocks: lane.blocks.map(climbed) }))
						}
					: period
			)
		};
	}

	private explainStations(id: string, wishes: readonly StationWish[], minutes: number): void {
		const period = this.practice.periods.find((each) => each.id === id);
		const lanes = period?.lanes.filter((lane) => isStation(period, lane)) ?? [];
		for (const [index, { blocks }] of lanes.entries()) {
			const choice = this.choices.find(({ drill }) => drill.id === wishes[index]?.drill.id);
			if (!choice) continue;
			this.explain(blocks[0].id, choice, minutes);
			this.take(choice, minutes);
		}
	}

	/** A lane beside stations for a daily drill that only those of a role do, such as keepers. */
	private laneBeside(period: Period): DailyLane | null {
		for (const { choice, role, players } of this.dailyOfSome()) {
			const made = newLane(this.workshop.atEdge(this.now, choice.run), {
				...rungOf(choice),
				...{ period, players, minutes: period.minutes, beside: [] },
				...{ stem: `${period.id}.${role}`, makeId: this.makeId() }
			});
			if (!made) continue;
			const isUnit = this.plan.context.team.units.some(({ id }) => id === role);
			// They are few enough to do it as one: copies side by side would be in each other's way.
			const [block] = made.lane.blocks;
			const { group: _group, ...copy } = block.copies[0];
			const blocks = [{ ...block, copies: [{ ...copy, players: [...players] }] }];
			const lane = {
				...made.lane,
				...{ blocks, zoneIds: [copy.zoneId], ...(isUnit && { unit: role }) }
			};
			return { lane, groups: [], choice, players };
		}
		return null;
	}

	/** A lane for each unit that is there, each with a drill that its players have not had today. */
	private units(minutes: number): boolean {
		return this.withoutBlamed(() => this.unitsOnce(minutes));
	}

	private unitsOnce(minutes: number): Held {
		const { context } = this.plan;
		const units = context.team.units
			.map(({ id }) => ({
				id,
				players: this.practice.expected.filter((each) => context.playerById.get(each)?.unit === id)
			}))
			.filter(({ players }) => players.length > 0)
			.toSorted((a, b) => b.players.length - a.players.length);
		const withUnit = units.reduce((sum, { players }) => sum + players.length, 0);
		if (units.length < 2 || withUnit < this.practice.expected.length) return { isHeld: false };
		const before = this.practice;
		const id = this.makeId()('units');
		this.append({
			...plainPeriod('units', { id, name: this.taste.names.units, minutes }),
			rank: 'should'
		});
		const taken: Choice[] = [];
		for (const unit of units) {
			const choice = this.unitLane(id, unit, taken, minutes);
			if (!choice) {
				this.practice = before;
				return { isHeld: false };
			}
			taken.push(choice);
		}
		const held = this.holdLast();
		if (held.isHeld) for (const choice of taken) this.take(choice, minutes / units.length);
		else this.practice = before;
		return held;
	}

	private unitLane(
		id: string,
		unit: { id: string; players: readonly string[] },
		taken: readonly Choice[],
		minutes: number
	): Choice | null {
		const fits = (choice: Choice) => {
			const { min, max } = choice.run.group;
			const count = unit.players.length;
			const others = (choice.run.needsRole ?? []).some(({ role }) => role !== unit.id);
			return (
				!others && !taken.includes(choice) && count >= min && Math.ceil(count / max) * min <= count
			);
		};
		for (const choice of this.inOrder(minutes, fits).slice(0, DRILLS_TRIED)) {
			const period = this.practice.periods.find((each) => each.id === id) as Period;
			const edit = unitBeside(this.now, period, { ...rungOf(choice), unit: unit.id });
			const applied = edit && applyEdit(this.practice, edit);
			if (!applied?.ok) continue;
			const made = applied.value.practice.periods.find((each) => each.id === id);
			const block = made?.lanes.find((lane) => lane.unit === unit.id)?.blocks[0];
			if (!made || !block || !holdsAll(made, block, choice)) continue;
			this.practice = applied.value.practice;
			this.explain(block.id, choice, minutes, { code: 'unit', unit: unit.id });
			return choice;
		}
		return null;
	}

	/** Drills that are left for a stretch, what is worth most first. */
	private inOrder(
		minutes: number,
		isMeant: (choice: Choice) => boolean,
		factor: (choice: Choice) => number = () => 1
	): Choice[] {
		const { contactDayMinutes } = this.plan.context.limits;
		const isOpen = (choice: Choice) =>
			!this.used.has(choice.drill.id) &&
			!this.refused.has(choice.drill.id) &&
			!isApart(choice) &&
			!(isHard(choice, this.plan) && this.hardMinutes + minutes > contactDayMinutes) &&
			isMeant(choice);
		const values = new Map(
			this.choices
				.filter(isOpen)
				.map((choice) => [choice, this.value(choice, minutes) * factor(choice)])
		);
		return [...values.keys()].sort((a, b) => (values.get(b) ?? 0) - (values.get(a) ?? 0));
	}

	/** What some minutes of a drill are worth here: what is wanted of it, and that players are busy. */
	private value(choice: Choice, minutes: number): number {
		const { drill, busy } = choice;
		const daily = drill.frequency === 'daily' ? minutes : 0;
		const worth = this.wanted.worth(choice, minutes) * (0.6 + 0.4 * busy);
		return (worth + daily + 0.02 * minutes * busy) * (this.taste.of.get(drill.id) ?? 1);
	}

	private take(choice: Choice, minutes: number): void {
		this.used.add(choice.drill.id);
		this.wanted.take(choice, minutes);
		if (isHard(choice, this.plan) && !isApart(choice)) this.hardMinutes += minutes;
	}

	/** Notes why a block is there, before what it gives is taken off what is wanted. */
	private explain(block: string, choice: Choice, minutes: number, first?: Reason): void {
		const { drill, run, rung } = choice;
		const due = this.input.due
			.map(({ skill, weight }) => ({ skill, weight, minutes: shareOf(run, skill) * minutes }))
			.filter((each) => each.minutes > 0 && each.weight > 0)
			.sort((a, b) => b.weight * b.minutes - a.weight * a.minutes)
			.slice(0, 2)
			.map((each): Reason => ({ code: 'due', skill: each.skill, minutes: each.minutes }));
		this.why[block] = [
			...(first ? [first] : []),
			...(this.input.brief?.some((each) => each.drill === drill.id)
				? [{ code: 'brief' } as const]
				: []),
			...due,
			...(drill.frequency === 'daily' ? [{ code: 'daily' } as const] : []),
			...(rung === undefined ? [] : [{ code: 'ladder', rung } as const])
		];
		if (this.why[block].length === 0)
			this.why[block] = [{ code: 'busy', share: Math.min(1, choice.busy) }];
	}
}
