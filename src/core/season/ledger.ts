import { isWork, type ReadyStep, type SideTally } from '../drill';
import type { Drill } from '../model/drill';
import { isOpposed } from '../model/family';
import { onRung, type Evaluation, type PlayedRun } from '../playing';
import { climbOf } from '../practice';

/** What one player gets of one skill from one step of a block: the rows from which a season is added up. */
export interface LedgerRow {
	period: string;
	block: string;
	drill: string;
	revision: number;
	/** The rung of the step, null for the drill itself. */
	rung: string | null;
	/** The side that it was on, null where the drill has none. */
	side: string | null;
	player: string;
	unit: string | null;
	date: string;
	skill: string;
	focus: 'main' | 'second';
	/** The skill's share of the time on the step. */
	seconds: number;
	/** The skill's share of the time spent working on the spots that learn it. */
	activeSeconds: number;
	/** Turns on those spots. */
	turns: number;
	/** Whether opponents held spots. */
	opposed: boolean;
}

/** A step of a run on one side: what there was of it. */
interface Part {
	step: ReadyStep;
	rung: string | null;
	side: string | null;
	had: SideTally;
	/** Seconds of the practice that belong to it. */
	seconds: number;
}

/** The steps of a run by side; the time of a step is shared by its sides as their turns are. */
function* partsOf({ run, steps, tallies, passes }: PlayedRun): Generator<Part> {
	const { block, copy, fromSecond, toSecond } = run;
	const climb = climbOf(block, copy);
	const spent = steps.map(() => 0);
	for (const [index, pass] of passes.entries()) {
		const from = index === 0 ? fromSecond : pass.fromSecond;
		spent[pass.step] += (passes[index + 1]?.fromSecond ?? toSecond) - from;
	}
	for (const [index, step] of steps.entries()) {
		const { turns, sides } = tallies[index];
		const names = step.drill.sides?.names ?? [null];
		for (const [at, had] of sides.entries()) {
			const isOnly = step.side !== null ? step.side === at : sides.length === 1;
			const share =
				turns > 0 ? had.turns / turns : isOnly ? 1 : step.side === null ? 1 / sides.length : 0;
			if (share === 0) continue;
			const rung = climb[index].rung ?? null;
			yield { step, rung, side: names[at], had, seconds: share * spent[index] };
		}
	}
}

/** Turns and working seconds of a player on the spots that learn a skill. */
function learnt(
	{ step: { system }, had }: Part,
	{ spots }: Drill['skills'][number],
	player: number
): { turns: number; seconds: number } {
	const sum = { turns: 0, seconds: 0 };
	for (const [index, spot] of system.spots.entries()) {
		if (spots ? !spots.includes(spot.id) : !isWork(spot)) continue;
		sum.turns += had.spotTurns[index][player] * (spot.repsPerTurn ?? 1);
		sum.seconds += had.spotSeconds[index][player];
	}
	return sum;
}

/** Rows as they add up, by what they are of. */
class Rows {
	private readonly all = new Map<string, LedgerRow>();

	constructor(private readonly evaluation: Pick<Evaluation, 'practice' | 'context'>) {}

	/** The row of a player for a skill of a step; nothing of it yet where it is new. */
	of(
		{ run }: PlayedRun,
		{
			drill,
			rung,
			side,
			player,
			skill
		}: {
			/** As it runs on the step. */
			drill: Drill;
			rung: string | null;
			side: string | null;
			player: string;
			skill: Drill['skills'][number];
		}
	): LedgerRow {
		const { practice, context } = this.evaluation;
		const key = [run.block.id, rung, side, player, skill.skill, skill.focus].join('\n');
		const row = this.all.get(key) ?? {
			period: run.period.id,
			block: run.block.id,
			drill: drill.id,
			revision: run.drill?.revision ?? 1,
			rung,
			side,
			player,
			unit: context.playerById.get(player)?.unit ?? null,
			date: practice.date,
			skill: skill.skill,
			focus: skill.focus,
			seconds: 0,
			activeSeconds: 0,
			turns: 0,
			opposed: isOpposed(drill)
		};
		this.all.set(key, row);
		return row;
	}

	list(): LedgerRow[] {
		return [...this.all.values()];
	}
}

/** What a run gave those in it, step by step. */
function addPlayed(rows: Rows, played: PlayedRun): void {
	const { players } = played.run;
	for (const part of partsOf(played)) {
		const { step, rung, side, seconds } = part;
		const { drill } = step;
		for (const [index, player] of players.entries())
			for (const skill of drill.skills) {
				const row = rows.of(played, { drill, rung, side, player, skill });
				const had = learnt(part, skill, index);
				row.seconds += skill.share * seconds;
				row.activeSeconds += skill.share * had.seconds;
				row.turns += had.turns;
			}
	}
}

/** The time that was spent on a run which cannot run as it was planned: its turns are not known. */
function addSpent(rows: Rows, played: PlayedRun): void {
	const { block, copy, drill: planned, players, fromSecond, toSecond } = played.run;
	if (!planned) return;
	const climb = climbOf(block, copy);
	const weights = climb.map(({ minutes = 1 }) => minutes);
	const all = weights.reduce((sum, weight) => sum + weight, 0);
	for (const [index, { rung, side = null }] of climb.entries()) {
		const drill = onRung(planned, rung);
		const seconds = ((toSecond - fromSecond) * weights[index]) / all;
		for (const player of players)
			for (const skill of drill.skills)
				rows.of(played, { drill, rung: rung ?? null, side, player, skill }).seconds +=
					skill.share * seconds;
	}
}

/** The rows of a played practice: one a player, block, step (rung and side) and skill, added up over slots. */
export function ledgerRows(evaluation: Evaluation): LedgerRow[] {
	const rows = new Rows(evaluation);
	for (const played of evaluation.runs)
		if (played.run.drill && !played.fault) addPlayed(rows, played);
	return rows.list();
}

/**
 * The rows of a practice that was held, as `ledgerRows` gives them: where too few came for a copy the coach made do,
 * so that those who came spent its time on it all the same, in turns that nobody knows.
 */
export function heldRows(evaluation: Evaluation): LedgerRow[] {
	const rows = new Rows(evaluation);
	for (const played of evaluation.runs)
		if (played.fault) addSpent(rows, played);
		else if (played.run.drill) addPlayed(rows, played);
	return rows.list();
}
