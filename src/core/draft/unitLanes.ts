import { plainPeriod, unitBeside } from '../building';
import type { Block, Period } from '../model/practice';
import { playersOfCopy } from '../playing';
import { applyEdit } from '../practice';
import type { Choice } from './choices';
import { rungOf, type Filling, type Held } from './filling';

/** How many drills are tried for the lane of a unit: several units want different ones, each with room of its own. */
const LANES_TRIED = 15;

/** Whether every copy of a block has as many players as its drill takes. */
const holdsAll = (period: Period, { copies }: Block, { run }: Choice): boolean =>
	copies.every((copy) => {
		const { length } = playersOfCopy(period, copy);
		return length >= run.group.min && length <= run.group.max;
	});

/** A lane for each unit that is there, each with a drill that its players have not had today. */
export function units(filling: Filling, minutes: number): boolean {
	return filling.withoutBlamed(() => unitsOnce(filling, minutes));
}

function unitsOnce(filling: Filling, minutes: number): Held {
	const { context } = filling.plan;
	const units = context.team.units
		.map(({ id }) => ({
			id,
			players: filling.practice.expected.filter((each) => context.playerById.get(each)?.unit === id)
		}))
		.filter(({ players }) => players.length > 0)
		.toSorted((a, b) => b.players.length - a.players.length);
	const withUnit = units.reduce((sum, { players }) => sum + players.length, 0);
	if (units.length < 2 || withUnit < filling.practice.expected.length) return { isHeld: false };
	const before = filling.practice;
	const id = filling.makeId()('units');
	filling.append({
		...plainPeriod('units', { id, name: filling.taste.names.units, minutes }),
		rank: 'should'
	});
	const taken: Choice[] = [];
	for (const unit of units) {
		const choice = unitLane(filling, id, unit, taken, minutes);
		if (!choice) {
			filling.practice = before;
			return { isHeld: false };
		}
		taken.push(choice);
	}
	const held = filling.holdLast();
	if (held.isHeld) for (const choice of taken) filling.take(choice, minutes / units.length);
	else filling.practice = before;
	return held;
}

function unitLane(
	filling: Filling,
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
	for (const choice of filling.inOrder(minutes, fits).slice(0, LANES_TRIED)) {
		const period = filling.practice.periods.find((each) => each.id === id) as Period;
		const edit = unitBeside(filling.now, period, { ...rungOf(choice), unit: unit.id });
		const applied = edit && applyEdit(filling.practice, edit);
		if (!applied?.ok) continue;
		const made = applied.value.practice.periods.find((each) => each.id === id);
		const block = made?.lanes.find((lane) => lane.unit === unit.id)?.blocks[0];
		if (!made || !block || !holdsAll(made, block, choice)) continue;
		filling.practice = applied.value.practice;
		return choice;
	}
	return null;
}
