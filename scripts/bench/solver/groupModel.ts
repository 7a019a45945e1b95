import { createHash } from 'node:crypto';
import type { GroupInput } from '../../../src/core/grouping';

/** A mixed-integer model of even groups in the LP format, for a solver. */
export interface GroupModel {
	text: string;
	/** Of the text: results that are kept belong to it. */
	hash: string;
}

const sum = (terms: readonly string[]) => (terms.length > 0 ? terms.join(' + ') : '0 x_0_0');

/**
 * Even groups as a model: who is where, and for each skill a highest and a lowest mean. Minimised are the
 * spreads of the skills, or, where `mostSkills` holds those down, the spreads of the units. All must be rated.
 */
export function groupModel(input: GroupInput, mostSkills?: number): GroupModel {
	const { players, sizes = [], apart = [], together = [], pins = {}, eachHas = [] } = input;
	const groups = sizes.map((_, group) => group);
	const indexOf = new Map(players.map(({ id }, index) => [id, index]));
	const skills = Object.keys(players[0].ratings ?? {});
	const units = [...new Set(players.flatMap(({ unit }) => unit ?? []))];
	const x = (player: number, group: number) => `x_${player}_${group}`;
	const rows: string[] = [];
	for (const player of players.keys())
		rows.push(`${sum(groups.map((group) => x(player, group)))} = 1`);
	for (const group of groups) {
		rows.push(`${sum([...players.keys()].map((player) => x(player, group)))} = ${sizes[group]}`);
		for (const [skill, name] of skills.entries()) {
			const total = players.map(({ ratings }, player) => `${ratings?.[name]} ${x(player, group)}`);
			rows.push(`${sum(total)} - ${sizes[group]} hi_${skill} <= 0`);
			rows.push(`${sum(total)} - ${sizes[group]} lo_${skill} >= 0`);
		}
		for (const [unit, name] of units.entries()) {
			const total = players.flatMap((player, index) =>
				player.unit === name ? x(index, group) : []
			);
			rows.push(`${sum(total)} - uhi_${unit} <= 0`, `${sum(total)} - ulo_${unit} >= 0`);
		}
		for (const [a, b] of apart)
			rows.push(
				`${x(indexOf.get(a) as number, group)} + ${x(indexOf.get(b) as number, group)} <= 1`
			);
		for (const ids of together)
			for (const id of ids.slice(1))
				rows.push(
					`${x(indexOf.get(id) as number, group)} - ${x(indexOf.get(ids[0]) as number, group)} = 0`
				);
		for (const { role, min } of eachHas)
			rows.push(
				`${sum(players.flatMap(({ roles }, index) => (role && roles?.includes(role) ? x(index, group) : [])))} >= ${min}`
			);
	}
	for (const [id, group] of Object.entries(pins))
		rows.push(`${x(indexOf.get(id) as number, group)} = 1`);
	const spreads = skills.map((_, skill) => `hi_${skill} - lo_${skill}`).join(' + ');
	if (mostSkills !== undefined) rows.push(`${spreads} <= ${mostSkills + 1e-6}`);
	const unitSpreads = units.map((_, unit) => `uhi_${unit} - ulo_${unit}`).join(' + ');
	const binaries = players.flatMap((_, player) => groups.map((group) => x(player, group)));
	const text = [
		'Minimize',
		` obj: ${mostSkills === undefined ? spreads : unitSpreads}`,
		'Subject To',
		...rows.map((row, index) => ` r${index}: ${row}`),
		'Binary',
		...binaries.map((name) => ` ${name}`),
		'End'
	].join('\n');
	return { text, hash: createHash('sha256').update(text).digest('hex').slice(0, 16) };
}
