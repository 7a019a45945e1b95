import { max, min } from 'd3-array';
import { sameValue } from '../base';
import { faultsIn, fixesFor } from '../checks';
import type { Drill } from '../model/drill';
import type { GamePlan, Period, Practice } from '../model/practice';
import type { Zone } from '../model/team';
import { evaluate, gapBetween, suitableZones, type Rectangle } from '../playing';
import { applyEdit, findBlock, type Plan } from '../practice';
import { gamePlan, type Game } from '../settling';

/** What is wrong with a practice as a whole: no single period is to blame for it. */
const OF_ALL = new Set(['no-warm-up', 'over-time', 'under-time']);

/** How many stops of one period are worked on. */
const MOST_FIXES = 3;

/** The drills of a practice, lane by lane. */
const drillsOf = ({ periods }: Practice) =>
	periods.flatMap(({ lanes }) =>
		lanes.map(({ blocks }) => blocks.map(({ drill }) => drill?.id ?? null))
	);

/** Whether two practices of one period have the same people, minutes and drills. */
const isSameFrame = (a: Practice, b: Practice): boolean =>
	a.periods.length === 1 &&
	a.periods[0].minutes === b.periods[0].minutes &&
	sameValue([a.expected, a.adults, drillsOf(a)], [b.expected, b.adults, drillsOf(b)]);

const placeOf = ({ x, y, length, width }: Zone): Rectangle => ({
	corner: { x, y },
	size: { length, width }
});

/** What many tries of one draft share: periods that were made, and whether they hold. */
export class Workshop {
	private readonly made = new Map<string, Period | null>();
	private readonly plans = new Map<string, GamePlan | null>();

	constructor(private readonly plan: Plan) {}

	/** The period of a key that holds: made the first time, and null where it cannot be made or does not hold. */
	period(key: string, make: () => Period | null): Period | null {
		const known = this.made.get(key);
		if (known !== undefined) return known;
		const period = make();
		const holding = period && this.holding(period);
		this.made.set(key, holding);
		return holding;
	}

	/** The period where it holds, fixed where it must be, else null. */
	holding(period: Period): Period | null {
		return this.held(period).period;
	}

	/**
	 * A period in which nothing would stop a practice that has only this, fixed where it must be. Null where it
	 * cannot be, with the drill that is to blame where there is one.
	 */
	held(period: Period): { period: Period | null; blamed?: string } {
		const { practice, context } = this.plan;
		const alone = { ...practice, minutes: period.minutes, periods: [period] };
		let now = evaluate(alone, context);
		for (let k = 0; k <= MOST_FIXES; k += 1) {
			const stop = faultsIn(now).find(
				({ severity, code, at }) =>
					severity === 'stop' && !OF_ALL.has(code) && at.period === period.id
			);
			if (!stop) return { period: now.practice.periods[0] };
			const [fix] = k < MOST_FIXES ? fixesFor(now, stop) : [];
			const applied = fix && applyEdit(now.practice, fix);
			// A fix that takes another period, minute or adult is none for a part of a practice.
			if (!applied?.ok || !isSameFrame(applied.value.practice, alone)) {
				const found = findBlock(now.practice, stop.at.block ?? '');
				const blamed = found?.block.drill?.id;
				return { period: null, ...(blamed !== undefined && { blamed }) };
			}
			now = evaluate(applied.value.practice, context, now);
		}
		return { period: null };
	}

	/** Who plays where in a game, a shift about every five minutes; null where nobody can say. */
	gamePlan(key: string, game: Game): GamePlan | null {
		const known = this.plans.get(key);
		if (known !== undefined) return known;
		const made = gamePlan(this.plan.context, game);
		this.plans.set(key, made);
		return made;
	}

	/** A plan with just the zone for a drill that lies farthest from the others: what stands there is out of their way. */
	atEdge({ practice, context }: Plan, drill: Drill): Plan {
		const { ground } = context;
		const small = suitableZones(drill, ground.zones, drill.group.ideal);
		const apart = (zone: Zone) =>
			min(
				small.filter((other) => other !== zone),
				(other) => gapBetween(placeOf(zone), placeOf(other))
			) ?? 0;
		const most = max(small, apart);
		const zone = small.find((each) => apart(each) === most);
		return { practice, context: { ...context, ground: { ...ground, zones: zone ? [zone] : [] } } };
	}
}
