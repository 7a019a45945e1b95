import { splitEvenly } from '../base';
import { periodFromDrill, plainPeriod } from '../building';
import type { Practice } from '../model/practice';
import { playersOfCopy } from '../playing';
import { isHard, type Choice } from './choices';
import { besideDaily } from './dailyLane';
import { DRILLS_TRIED, isApart, rungOf, type Filling } from './filling';
import type { Form, Part } from './outline';
import type { Reason } from './shapes';
import { stations } from './stationRound';
import { units } from './unitLanes';

/** A practice that was made, and why each block is in it. */
export interface Made {
	practice: Practice;
	why: Record<string, Reason[]>;
}

/** What a daily drill gets at least, and what another beside it in the same stretch. */
const DAILY_MINUTES = 5;
const LEAST_OTHER = 6;
/** Two drills after each other have no less than this. */
const LEAST_PAIR = 14;

/** Makes a practice part by part, each from what the parts before it have left wanted. */
export class Maker {
	constructor(private readonly filling: Filling) {}

	/** The practice made of some parts; a part that nothing can fill is left out. */
	make(parts: readonly Part[]): Made {
		this.filling.hardMinutes += this.hardInGames(parts);
		for (const part of parts) this.add(part);
		const { practice, why } = this.filling;
		return { practice, why };
	}

	/** Minutes of hard contact that games will take: the work before them leaves so many. */
	private hardInGames(parts: readonly Part[]): number {
		const games = parts.filter(({ kind }) => kind === 'scrimmage');
		const hard = this.filling.choices.filter(({ drill }) => drill.family === 'scrimmage');
		const isCounted = hard.length > 0 && hard.every((choice) => isHard(choice, this.filling.plan));
		return isCounted ? games.reduce((sum, { minutes }) => sum + minutes, 0) : 0;
	}

	private add(part: Part): void {
		const { minutes } = part;
		const { names } = this.filling.taste;
		switch (part.kind) {
			case 'water':
				// Where nothing filled the stretch between two drinks, one of them is enough.
				if (this.filling.practice.periods.at(-1)?.kind === 'water') break;
				this.filling.append({
					...plainPeriod('water', {
						id: this.filling.makeId()('water'),
						name: names.water,
						minutes
					}),
					// A drink is no shorter where time is, and no longer where there is time to spare.
					...{ min: minutes, max: minutes }
				});
				break;
			case 'talk':
				this.filling.append(
					plainPeriod('talk', { id: this.filling.makeId()('talk'), name: names.talk, minutes })
				);
				break;
			case 'kept':
				this.filling.append(part.period);
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
		const own = this.filling.choices.filter(
			({ drill, isForAll }) => drill.family === family && isForAll
		);
		const isDaily = ({ drill }: Choice) => Number(drill.frequency === 'daily');
		const order = own.toSorted(
			(a, b) =>
				isDaily(b) - isDaily(a) || this.filling.value(b, minutes) - this.filling.value(a, minutes)
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
		const { team } = this.filling.plan.context;
		const period = this.filling.practice.periods[this.filling.practice.periods.length - 1];
		const [block] = period.lanes[0].blocks;
		const [copy] = block.copies;
		if (!team.positions || block.copies.length > 1) return;
		const players = playersOfCopy(period, copy);
		const key = JSON.stringify(['line-up', run.id, minutes, players]);
		const plan = this.filling.workshop.gamePlan(key, { drill: run, players, minutes });
		if (!plan) return;
		const blocks = [{ ...block, lineup: plan }];
		const lanes = [{ ...period.lanes[0], blocks }, ...period.lanes.slice(1)];
		this.filling.practice = {
			...this.filling.practice,
			periods: [...this.filling.practice.periods.slice(0, -1), { ...period, lanes }]
		};
	}

	/** Fills a stretch of work in the form that is meant, or in another where that cannot be. */
	private work(form: Form, minutes: number): boolean {
		if (form === 'units') return units(this.filling, minutes) || this.work('together', minutes);
		if (form === 'stations') return stations(this.filling, minutes) || this.drills(minutes);
		if (form === 'pair' && minutes >= LEAST_PAIR) {
			const [first, second] = splitEvenly(minutes, 2);
			if (this.oneDrill(first)) return this.oneDrill(second) || stations(this.filling, second);
		}
		return this.oneDrill(minutes) || stations(this.filling, minutes);
	}

	/** Drills after each other, none longer than players go without water. */
	private drills(minutes: number): boolean {
		const count = Math.ceil(
			minutes / Math.max(LEAST_PAIR, this.filling.plan.context.limits.waterMinutes)
		);
		return splitEvenly(minutes, count)
			.map((each) => this.oneDrill(each))
			.some(Boolean);
	}

	/** The best drill that is left for everybody at once. */
	private oneDrill(minutes: number): boolean {
		const order = this.filling.inOrder(minutes, ({ isForAll }) => isForAll);
		const [daily, other] = order;
		const isDaily = daily?.drill.frequency === 'daily';
		if (isDaily && other && minutes >= DAILY_MINUTES + LEAST_OTHER) {
			// A daily drill that gives less of what is due than another gets its few minutes.
			const isWorthLess =
				this.filling.wanted.worth(daily, minutes) < this.filling.wanted.worth(other, minutes);
			if (isWorthLess && this.together(daily, DAILY_MINUTES))
				return this.oneDrill(minutes - DAILY_MINUTES) || true;
		}
		return order.slice(0, DRILLS_TRIED).some((choice) => this.together(choice, minutes));
	}

	private together(choice: Choice, minutes: number, reason?: Reason): boolean {
		const id = this.filling.makeId()(choice.drill.id);
		const period =
			(!isApart(choice) && besideDaily(this.filling, choice, id, minutes)) ||
			this.filling.workshop.period(`${id} ${minutes}`, () =>
				periodFromDrill(this.filling.now, { ...rungOf(choice), id, minutes })
			);
		if (!period) return false;
		this.filling.append(period);
		for (const { id: block } of period.lanes.at(-1)?.blocks ?? [])
			this.filling.explain(block, choice, minutes, reason);
		this.filling.take(choice, minutes);
		return true;
	}
}
