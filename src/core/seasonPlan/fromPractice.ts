import { rollups, sum } from 'd3-array';
import type { Drill } from '../model/drill';
import type { BriefItem, Period, Practice } from '../model/practice';
import { DRINK, USUAL } from '../draft';
import { onRung, playersOfCopy } from '../playing';
import type { Context } from '../practice';
import type { PlanItem, PlannedPractice } from './planShapes';

/** Families that have a place of their own in a practice. */
const APART = ['warm-up', 'scrimmage', 'cool-down'] as const;
/** Whether a drill is one for the work of a practice that everybody can do: the plan chooses among these. */
export const isFree = ({ family = '', needsRole }: Drill): boolean =>
	!APART.some((apart) => apart === family) && !needsRole?.length;

/** Minutes for drills of the plan in a practice that is not built yet: what warm-up, game, water and end leave, as drafts cut them. */
function openMinutes(minutes: number, waterMinutes: number): number {
	const drinks = Math.max(0, Math.ceil((minutes - USUAL.coolDown) / waterMinutes) - 1);
	return Math.max(
		0,
		minutes -
			USUAL.warmUp -
			USUAL.coolDown -
			Math.round(minutes * USUAL.scrimmageShare) -
			drinks * DRINK
	);
}

/** Drills of a period in the mean minutes of a player: all have the stations of a round, a lane of a unit only its own. */
function itemsOf(period: Period, players: number): PlanItem[] {
	const isRound = (period.slots ?? []).length > 0;
	return period.lanes.flatMap(({ blocks }) =>
		blocks.flatMap(({ drill, climb, copies, minutes }): PlanItem[] => {
			if (!drill) return [];
			const own = sum(copies, (copy) => playersOfCopy(period, copy).length);
			// It goes as high as it climbs.
			const { rung } = climb[climb.length - 1] ?? {};
			return [
				{
					drill: drill.id,
					...(rung !== undefined && { rung }),
					minutes: isRound ? minutes : (minutes * own) / Math.max(1, players)
				}
			];
		})
	);
}

/** What a built practice holds, each drill once, in whole minutes. */
function held({ periods, expected }: Practice): PlanItem[] {
	return rollups(
		periods.flatMap((period) => itemsOf(period, expected.length)),
		(own): PlanItem => ({
			...own[own.length - 1],
			minutes: Math.max(1, Math.round(sum(own, ({ minutes }) => minutes)))
		}),
		({ drill }) => drill
	).map(([, item]) => item);
}

/** Minutes by skill that some drills give. */
const given = (items: readonly PlanItem[], drills: ReadonlyMap<string, Drill>) =>
	rollups(
		items.flatMap(({ drill, rung, minutes }) => {
			const found = drills.get(drill);
			return found
				? onRung(found, rung).skills.map(({ skill, share }) => ({
						skill,
						minutes: share * minutes
					}))
				: [];
		}),
		(own) => sum(own, ({ minutes }) => minutes),
		({ skill }) => skill
	).map(([skill, minutes]) => ({ skill, minutes: Math.min(600, minutes) }));

/** What some drills cost: minutes times effort. */
const loadOf = (items: readonly PlanItem[], drills: ReadonlyMap<string, Drill>): number =>
	sum(items, ({ drill, rung, minutes }) => {
		const found = drills.get(drill);
		return found ? minutes * onRung(found, rung).effort : 0;
	});

/** What warm-up, game and end of a practice that is not built yet are likely to be. */
function likely(minutes: number, drills: readonly Drill[]): PlanItem[] {
	const of = {
		'warm-up': USUAL.warmUp,
		scrimmage: minutes * USUAL.scrimmageShare,
		'cool-down': USUAL.coolDown
	};
	return APART.flatMap((apart) => {
		const own = drills.filter(({ family }) => family === apart);
		const drill = own.find(({ frequency }) => frequency === 'daily') ?? own[0];
		return drill ? [{ drill: drill.id, minutes: Math.max(1, Math.round(of[apart])) }] : [];
	});
}

/** A practice as the plan of a season takes it. */
export interface Planned {
	practice: PlannedPractice;
	/** It has periods: its drills stay, and are counted as they are. */
	isBuilt: boolean;
	/** What was planned for it before. */
	before: BriefItem[];
}

/** A practice to come for the plan: what is built or locked stays, the rest of its minutes is open. */
export function asPlanned(
	practice: Practice,
	{ shelf, limits }: Pick<Context, 'shelf' | 'limits'>
): Planned {
	const { id, date, minutes, expected, adults, brief = [] } = practice;
	const drills = new Map(shelf.map((drill) => [drill.id, drill]));
	const isKnown = ({ drill, rung }: PlanItem) => {
		const found = drills.get(drill);
		return (
			found !== undefined &&
			isFree(found) &&
			(rung === undefined || found.rungs.some((each) => each.id === rung))
		);
	};
	const frame = { id, date, players: expected.length, adults: adults.length };
	const isBuilt = practice.periods.length > 0;
	if (isBuilt) {
		const items = held(practice);
		const locked = items.filter(isKnown);
		const others = items.filter((item) => !isKnown(item));
		return {
			practice: {
				...frame,
				minutes: Math.min(
					600,
					sum(locked, (item) => item.minutes)
				),
				locked,
				gives: given(others, drills),
				load: loadOf(others, drills)
			},
			isBuilt,
			before: []
		};
	}
	const known = brief.filter(isKnown);
	const beside = likely(minutes, shelf);
	return {
		practice: {
			...frame,
			minutes: openMinutes(minutes, limits.waterMinutes),
			locked: known
				.filter(({ locked }) => locked)
				.map(({ locked: _locked, why: _why, ...item }) => item),
			gives: given(beside, drills),
			load: loadOf(beside, drills)
		},
		isBuilt,
		before: known
	};
}
