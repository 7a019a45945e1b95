import { plainPeriod, resizePeriods } from '../building';
import { isGame } from '../model/family';
import type { Block, Period, Practice } from '../model/practice';
import { playersOfCopy } from '../playing';
import { applyEdit, idMaker, idsIn } from '../practice';
import { climbFor } from './climbFor';
import type { Filling } from './filling';
import { MOST_CLOSE, MOST_WARM_UP, type Fixed, type MakeAsked } from './frame';
import type { Outline } from './outline';
import type { Work } from './works';

/** An outline with the minutes of each period of the end. */
export type Cut = Outline & { ends: number[] };

/** A period whose range goes around the minutes that it has now. */
const aroundIts = (period: Period): Period => {
	const { minutes, kind, slots = [] } = period;
	if (kind === 'talk') return { ...period, ideal: minutes };
	const least = Math.max(1, Math.round(minutes * (slots.length > 0 ? 0.7 : 0.6)));
	const usual = Math.max(minutes, Math.round(minutes * 1.5));
	const most = { 'warm-up': MOST_WARM_UP, close: MOST_CLOSE }[kind as string] ?? usual;
	return { ...period, ideal: minutes, min: Math.min(least, minutes), max: Math.max(minutes, most) };
};

/** Puts the parts of a practice together: in order, with their minutes, line-ups and steps. */
export class Assembly {
	constructor(
		private readonly filling: Filling,
		private readonly asked: MakeAsked,
		private readonly works: readonly Work[]
	) {}

	/** The practice with its periods in order, each with its minutes, and the drinks between. */
	of(outline: Cut, fixed: readonly Fixed[]): Practice {
		const { filling, asked } = this;
		const { plan, taste } = filling;
		const stay = Object.values(asked.kept).flat();
		const made = new Map(
			[
				...fixed.map(({ period }) => period),
				...this.works.map(({ period }) => period),
				...stay
			].map((period) => [period.id, period])
		);
		const ends = fixed.slice(fixed.length - outline.ends.length);
		const parts = [
			...outline.parts,
			...ends.map(({ period }, k) => ({ id: period.id as string | null, minutes: outline.ends[k] }))
		];
		const makeId = idMaker([...made.values()].flatMap(idsIn));
		const periods = parts.map(({ id, minutes }): Period => {
			if (id !== null) return made.get(id) as Period;
			const water = plainPeriod('water', { id: makeId('water'), name: taste.names.water, minutes });
			// A drink is no shorter where time is, and no longer where there is time to spare.
			return { ...water, min: minutes, max: minutes };
		});
		const practice = { ...plan.practice, periods };
		const isKept = new Set(stay.map(({ id }) => id));
		const minutes = new Map(
			parts.flatMap((part) =>
				part.id === null || isKept.has(part.id) ? [] : [[part.id, part.minutes] as const]
			)
		);
		const applied = applyEdit(practice, resizePeriods(practice, minutes));
		const leastOf = new Map(fixed.map(({ period, least }) => [period.id, least]));
		const resized = applied.ok ? applied.value.practice : practice;
		return {
			...resized,
			periods: resized.periods.map((period) =>
				minutes.has(period.id)
					? this.climbing(this.lined(this.bounded(period, leastOf.get(period.id))))
					: period
			)
		};
	}

	/** Who plays where in which shift of a full game, where the team has positions. */
	private lined(period: Period): Period {
		const { filling } = this;
		const { team } = filling.plan.context;
		if (period.kind !== 'scrimmage' || !team.positions || period.lanes.length !== 1) return period;
		const [block] = period.lanes[0].blocks;
		const [copy] = block.copies;
		const choice = filling.choices.find(({ drill }) => drill.id === block.drill?.id);
		if (!choice || choice.run.family !== 'scrimmage' || block.copies.length > 1) return period;
		const players = playersOfCopy(period, copy);
		const { minutes } = period;
		const key = JSON.stringify(['line-up', choice.run.id, minutes, players]);
		const lineup = filling.workshop.gamePlan(key, { drill: choice.run, players, minutes });
		if (!lineup) return period;
		const blocks: Block[] = [{ ...block, lineup }];
		return { ...period, lanes: [{ ...period.lanes[0], blocks }] };
	}

	/** A period whose range goes around its minutes: that of a brief as far as its minutes are kept. */
	private bounded(period: Period, least: number | undefined): Period {
		const work = this.works.find(({ period: own }) => own.id === period.id);
		const around = aroundIts(period);
		if (least !== undefined) return { ...around, min: Math.min(period.minutes, least) };
		if (work?.brief === undefined) return around;
		const { minutes } = period;
		return { ...around, min: Math.min(minutes, work.least), max: Math.max(minutes, work.most) };
	}

	/** A drill that lasts longer than suits the age goes up its ladder in steps that do not. */
	private climbing(period: Period): Period {
		const work = this.works.find(({ period: own }) => own.id === period.id);
		const { cap } = this.filling;
		if (!work?.choice || work.brief !== undefined) return period;
		if (isGame(work.choice.run) || period.minutes <= cap) return period;
		const { choice } = work;
		const climbs = (block: Block): Block =>
			block.drill?.id === choice.drill.id
				? { ...block, climb: climbFor(choice, block.minutes, cap) }
				: block;
		return {
			...period,
			lanes: period.lanes.map((lane) => ({ ...lane, blocks: lane.blocks.map(climbs) }))
		};
	}
}
