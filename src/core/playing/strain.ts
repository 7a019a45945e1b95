import type { Strain } from '../model/before';
import type { Limits } from '../model/limits';
import { addLoads } from '../drill';
import type { Evaluation } from './evaluate';
import type { PlayedRun } from './playRun';
import { stepsOf } from './steps';

/** What runs cost each of their players, by kind: throws, kicks. */
export function loadsOf(runs: readonly PlayedRun[]): Map<string, Map<string, number>> {
	const loads = new Map<string, Map<string, number>>();
	for (const { run, steps, tallies } of runs)
		for (const [index, player] of run.players.entries()) {
			const own = loads.get(player) ?? new Map<string, number>();
			for (const [k, { drill, system }] of steps.entries())
				addLoads(own, { drill, system, tally: tallies[k] }, index);
			loads.set(player, own);
		}
	return loads;
}

/** Minutes of contact of each player of some runs, by level. */
export function contactOf(runs: readonly PlayedRun[]): Map<string, Map<number, number>> {
	const contact = new Map<string, Map<number, number>>();
	for (const { run, drill, fromSecond, toSecond } of runs.flatMap(stepsOf)) {
		if (drill.contact === 0) continue;
		for (const player of run.players) {
			const own = contact.get(player) ?? new Map<number, number>();
			const minutes = (toSecond - fromSecond) / 60;
			own.set(drill.contact, (own.get(drill.contact) ?? 0) + minutes);
			contact.set(player, own);
		}
	}
	return contact;
}

/** What a minute at a level of contact counts of a minute of hard contact, 0 to 1. */
export function contactWeight(
	level: number,
	{ contactLevel, lightContactShare }: Pick<Limits, 'contactLevel' | 'lightContactShare'>
): number {
	if (level >= contactLevel) return 1;
	return level > 0 && level === contactLevel - 1 ? lightContactShare : 0;
}

/** What a played practice costs each player's body; who has none of it is left out. */
export function strainOf({ runs }: Evaluation): Record<string, Strain> {
	const [contact, loads] = [contactOf(runs), loadsOf(runs)];
	const strain: Record<string, Strain> = {};
	for (const player of new Set([...contact.keys(), ...loads.keys()])) {
		const own = Object.entries(Object.fromEntries(loads.get(player) ?? [])).filter(
			([, count]) => count > 0
		);
		const levels = contact.get(player);
		if (!levels && own.length === 0) continue;
		strain[player] = {
			...(levels && { contact: Object.fromEntries(levels) }),
			...(own.length > 0 && { loads: Object.fromEntries(own) })
		};
	}
	return strain;
}

/** What a practice costs a player: minutes times effort, and minutes of hard contact, lighter ones by their weight. */
export type Cost = [load: number, contact: number];

/** What a played practice costs each of its players. */
export function costOf({ runs, context }: Evaluation): Record<string, Cost> {
	const cost: Record<string, Cost> = {};
	for (const { run, drill, fromSecond, toSecond } of runs.flatMap(stepsOf)) {
		const minutes = (toSecond - fromSecond) / 60;
		const hard = contactWeight(drill.contact, context.limits);
		for (const player of run.players) {
			const own = (cost[player] ??= [0, 0]);
			own[0] += minutes * drill.effort;
			own[1] += hard * minutes;
		}
	}
	return cost;
}
