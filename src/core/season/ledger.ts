import { resolveDrill } from '../drill';
import type { Evaluation } from '../playing';

/** What one player gets of one skill from one block: the rows from which a season is added up. */
export interface LedgerRow {
	period: string;
	block: string;
	drill: string;
	revision: number;
	/** The highest rung of the climb, null for the drill itself. */
	rung: string | null;
	player: string;
	unit: string | null;
	date: string;
	skill: string;
	focus: 'main' | 'second';
	/** The skill's share of the time in the block. */
	seconds: number;
	/** The skill's share of the time spent working. */
	activeSeconds: number;
	turns: number;
}

/** The rows of a played practice: one a player, block and skill, added up over slots. */
export function ledgerRows({ practice, context, runs }: Evaluation): LedgerRow[] {
	const rows = new Map<string, LedgerRow>();
	for (const { run, sums, fault } of runs) {
		if (!run.drill || fault) continue;
		const rung = run.block.climb.at(-1)?.rung ?? null;
		const resolved = resolveDrill(run.drill, rung ?? undefined);
		const skills = resolved.ok ? resolved.value.skills : run.drill.skills;
		for (const { player, reps, activeSeconds } of sums)
			for (const { skill, share, focus } of skills) {
				const key = JSON.stringify([run.block.id, player, skill, focus]);
				const row = rows.get(key) ?? {
					period: run.period.id,
					block: run.block.id,
					drill: run.drill.id,
					revision: run.drill.revision ?? 1,
					rung,
					player,
					unit: context.playerById.get(player)?.unit ?? null,
					date: practice.date,
					skill,
					focus,
					seconds: 0,
					activeSeconds: 0,
					turns: 0
				};
				row.seconds += share * (run.toSecond - run.fromSecond);
				row.activeSeconds += share * activeSeconds;
				row.turns += reps;
				rows.set(key, row);
			}
	}
	return [...rows.values()];
}
