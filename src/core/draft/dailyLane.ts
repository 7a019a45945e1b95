import { newLane, plainPeriod } from '../building';
import type { Group, Lane, Period } from '../model/practice';
import { keptOutOfDrill } from '../playing';
import type { Choice } from './choices';
import { climbFor } from './climbFor';
import { rungOf, type Filling } from './filling';

/** A lane for a daily drill that only some do. */
export interface DailyLane {
	lane: Lane;
	groups: Group[];
	choice: Choice;
	players: readonly string[];
}

/** Daily drills that were not run yet and that only players of a role do, who are there in number. */
function dailyOfSome(filling: Filling): { choice: Choice; role: string; players: string[] }[] {
	const { playerById } = filling.plan.context;
	return filling.choices.flatMap((choice) => {
		const { drill, run } = choice;
		const [need] = run.needsRole ?? [];
		const isOut = filling.used.has(drill.id) || filling.refused.has(drill.id);
		if (drill.frequency !== 'daily' || !need || isOut) return [];
		const players = filling.practice.expected.filter((id) => {
			const player = playerById.get(id);
			return player?.unit === need.role || player?.positions?.includes(need.role);
		});
		const isMany = players.length >= run.group.min && players.length <= run.group.max;
		return isMany ? [{ choice, role: need.role, players }] : [];
	});
}

/** A lane beside stations for a daily drill that only those of a role do, such as keepers. */
export function laneBeside(filling: Filling, period: Period): DailyLane | null {
	for (const { choice, role, players } of dailyOfSome(filling)) {
		const made = newLane(filling.workshop.atEdge(filling.now, choice.run), {
			...rungOf(choice),
			...{ period, players, minutes: period.minutes, beside: [] },
			...{ stem: `${period.id}.${role}`, makeId: filling.makeId() }
		});
		if (!made) continue;
		const isUnit = filling.plan.context.team.units.some(({ id }) => id === role);
		// They are few enough to do it as one: copies side by side would be in each other's way.
		const [block] = made.lane.blocks;
		const { group: _group, ...copy } = block.copies[0];
		const climb = climbFor(choice, period.minutes, filling.cap);
		const blocks = [{ ...block, climb, copies: [{ ...copy, players: [...players] }] }];
		const lane = {
			...made.lane,
			...{ blocks, zoneIds: [copy.zoneId], ...(isUnit && { unit: role }) }
		};
		return { lane, groups: [], choice, players };
	}
	return null;
}

/** A drill for the others beside a daily one that only some do; null where there is none, or no room for both. */
export function besideDaily(
	filling: Filling,
	choice: Choice,
	id: string,
	minutes: number
): Period | null {
	const plain = plainPeriod('units', { id, name: choice.drill.name, minutes });
	const daily = laneBeside(filling, plain);
	if (!daily) return null;
	const { practice, context } = filling.now;
	const elsewhere = new Set(daily.players);
	const players = practice.expected.filter(
		(each) =>
			!elsewhere.has(each) && !keptOutOfDrill(context.playerById.get(each), choice.run, filling.now)
	);
	const made = newLane(filling.now, {
		...rungOf(choice),
		...{ period: plain, players, minutes, beside: [daily.lane] },
		...{ stem: id, makeId: filling.makeId() }
	});
	if (!made) return null;
	const groups = [...daily.groups, ...made.groups];
	const period: Period = {
		...plain,
		...{ rank: 'should', lanes: [daily.lane, made.lane] },
		...(groups.length > 0 && { groups })
	};
	const holding = filling.workshop.holding(period);
	if (!holding) return null;
	filling.used.add(daily.choice.drill.id);
	return holding;
}
