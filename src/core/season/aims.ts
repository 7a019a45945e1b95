import { max, sum } from 'd3-array';
import type { Season, Target } from '../model/season';
import { areaOf, stageOf } from '../model/skill';

/** A practice as far as its minutes count for a phase. */
export interface TimedPractice {
	date: string;
	minutes: number;
	isCancelled: boolean;
}

/** What a phase asks for, of everybody or of a unit, and the minutes that its practices have. */
export interface PhaseSum {
	phase: string;
	/** Minutes that each player is to have: of an area, or of its stages together where they ask for more. */
	asks: number;
	/** Minutes of its practices that are not cancelled. */
	has: number;
}

/** Minutes that targets ask of a player in all: stages lie within their area. */
export function askedOf(targets: readonly Pick<Target, 'skill' | 'minutes'>[]): number {
	const areas = new Set(targets.map(({ skill }) => areaOf(skill)));
	return sum([...areas], (area) => {
		const own = targets.filter(({ skill }) => areaOf(skill) === area);
		const whole = sum(own, ({ skill, minutes }) => (stageOf(skill) === null ? minutes : 0));
		const stages = sum(own, ({ skill, minutes }) => (stageOf(skill) === null ? 0 : minutes));
		return max([whole, stages]) ?? 0;
	});
}

/** What each phase asks for beside what its practices have: "asks 420 of 540 min". */
export function phaseSums(
	{ phases = [], targets = [] }: Pick<Season, 'phases' | 'targets'>,
	practices: readonly TimedPractice[],
	unit?: string
): PhaseSum[] {
	return phases.map(({ id, firstDay, lastDay }) => ({
		phase: id,
		asks: askedOf(targets.filter((each) => each.phase === id && each.unit === unit)),
		has: sum(practices, ({ date, minutes, isCancelled }) =>
			!isCancelled && firstDay <= date && date <= lastDay ? minutes : 0
		)
	}));
}

/** Targets of whole five minutes that shares of the minutes of a phase come to. */
export const fromShares = (
	shares: Readonly<Record<string, number>>,
	minutes: number
): { skill: string; minutes: number }[] =>
	Object.entries(shares).flatMap(([skill, share]) => {
		const asked = Math.round((share * minutes) / 5) * 5;
		return asked > 0 ? [{ skill, minutes: asked }] : [];
	});
