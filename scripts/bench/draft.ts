// What drafts are worth over many seeded squads of the three teams, and how long they take.
import { mean, quantile, sum } from 'd3-array';
import solver from 'javascript-lp-solver';
import { draft, type DraftInput } from '../../src/core/draft';
import type { Practice } from '../../src/core/model/practice';
import { contactWeight, evaluate, onRung } from '../../src/core/playing';
import { isGame } from '../../src/core/model/family';
import { DEFAULT_LIMITS, mostDrillMinutes, toContext, unsuited } from '../../src/core/practice';
import { coverage } from '../../src/core/season';
import { standingIn } from '../../src/core/shelf';
import { demoPractices, demoSurroundings, demoTeams } from '../../tests/support/demo';
import { randomDraft } from '../../tests/support/drafts';
import { complaintsOf } from '../../tests/support/sternCoach';
import { judge, median, slowness, verdict } from './report';

const NAMES = { water: 'Water', talk: 'Talk', stations: 'Stations', units: 'Units' };
const SQUADS = 200;
/** Minutes that a drill for every day has at least. */
const DAILY = 5;
const APART = new Set(['warm-up', 'cool-down', 'scrimmage']);

/** Weighted minutes of what is due that the minutes of free work could give at most, beside what is fixed. */
function bound(input: DraftInput, practice: Practice): number {
	const drillOf = (id: string) => input.drills.find((drill) => drill.id === id);
	const share = (id: string, skill: string) =>
		sum(onRung(drillOf(id) ?? input.drills[0], undefined).skills, (own) =>
			own.skill === skill || own.skill.startsWith(`${skill}/`) ? own.share : 0
		);
	const limits = { ...DEFAULT_LIMITS, ...input.limits };
	const fixed = new Map<string, number>();
	let work = 0;
	let contact = 0;
	for (const period of practice.periods) {
		const [block] = period.lanes.flatMap(({ blocks }) => blocks);
		if (!block?.drill) continue;
		const { id } = block.drill;
		const { family = '', frequency } = drillOf(id) ?? {};
		// What is for every day is there in any case.
		const own = APART.has(family)
			? period.minutes
			: frequency === 'daily'
				? Math.min(DAILY, period.minutes)
				: 0;
		work += period.minutes - own;
		for (const { skill } of input.due)
			fixed.set(skill, (fixed.get(skill) ?? 0) + share(id, skill) * own);
		contact +=
			contactWeight(onRung(drillOf(id) ?? input.drills[0], undefined).contact, limits) * own;
	}
	// What those of one role alone can do is nothing for the others; what cannot run here is nothing for anybody.
	const here = standingIn({
		players: input.frame.expected.length,
		adults: input.frame.adults.length,
		zones: input.ground.zones,
		kit: input.kit
	});
	const free = input.drills.filter(
		(drill) =>
			!APART.has(drill.family ?? '') &&
			!drill.needsRole &&
			!unsuited(drill, { team: input.team, limits }) &&
			here(drill).obstacle === null
	);
	const cap = mostDrillMinutes({ team: input.team, limits });
	const constraints: Record<string, { max: number }> = {
		work: { max: work },
		// The contact of a day is capped as the minutes of a drill are.
		contact: { max: Math.max(0, limits.contactDayMinutes - contact) }
	};
	const variables: Record<string, Record<string, number>> = {};
	// Each drill once, for no longer than suits the age; games may last.
	for (const drill of free) {
		constraints[`cap ${drill.id}`] = { max: isGame(drill) ? Math.max(20, cap) : cap };
		const weight = contactWeight(drill.contact, limits);
		variables[`drill ${drill.id}`] = {
			...{ work: 1, worth: 0, contact: weight, [`cap ${drill.id}`]: 1 }
		};
	}
	for (const { skill, weight, minutes } of input.due) {
		constraints[`most ${skill}`] = { max: minutes };
		constraints[`given ${skill}`] = { max: fixed.get(skill) ?? 0 };
		variables[`skill ${skill}`] = { worth: weight, [`most ${skill}`]: 1, [`given ${skill}`]: 1 };
		for (const { id } of free) variables[`drill ${id}`][`given ${skill}`] = -share(id, skill);
	}
	const found = solver.Solve({ optimize: 'worth', opType: 'max', constraints, variables });
	return (found as { result: number }).result;
}

const stops: number[] = [];
const warnings: number[] = [];
const shares: number[] = [];
const busy: number[] = [];
const open: number[] = [];
/** What a stern coach says against drafts, by what it is: in how many. */
const said = new Map<string, number>();
let drafts = 0;
const unlike: number[] = [];
let none = 0;

/** Share of the minutes of one practice whose drills could be others (no warm-up, game or daily drill) that another does not have. */
function differing(input: DraftInput, a: Practice, b: Practice): number {
	const isFree = (id: string) => {
		const drill = input.drills.find((each) => each.id === id);
		return drill?.frequency !== 'daily' && !APART.has(drill?.family ?? '');
	};
	const minutes = (practice: Practice) => {
		const own = new Map<string, number>();
		for (const { lanes } of practice.periods)
			for (const { drill, minutes: each } of lanes.flatMap(({ blocks }) => blocks))
				if (drill && isFree(drill.id)) own.set(drill.id, (own.get(drill.id) ?? 0) + each);
		return own;
	};
	const [one, other] = [minutes(a), minutes(b)];
	const same = sum([...one], ([id, each]) => Math.min(each, other.get(id) ?? 0));
	return one.size === 0 ? 1 : 1 - same / sum(one.values());
}

for (let seed = 0; seed < SQUADS; seed += 1) {
	const input = randomDraft(seed);
	const drafted = draft(input, NAMES);
	if (!drafted.ok) {
		none += 1;
		continue;
	}
	const { alternatives } = drafted.value;
	const [{ practice, figures }] = alternatives;
	stops.push(figures.stops);
	warnings.push(figures.warnings);
	busy.push(figures.busyShare);
	open.push(figures.openMinutes);
	for (const alternative of alternatives) {
		const complaints = complaintsOf(input, alternative);
		drafts += 1;
		for (const code of new Set(complaints.map((each) => each.code)))
			said.set(code, (said.get(code) ?? 0) + 1);
		for (const { code, about } of complaints)
			console.log(`  squad ${seed}, ${input.team.id}: ${code} ${about}`);
	}
	const most = bound(input, practice);
	if (most > 0) shares.push(figures.dueMinutes / most);
	for (const other of alternatives.slice(1))
		unlike.push(differing(input, practice, other.practice));
	if (process.argv.includes('--each'))
		console.log(
			seed,
			input.team.id,
			input.frame.minutes,
			input.frame.expected.length,
			input.frame.adults.length,
			input.arc,
			JSON.stringify(figures),
			(figures.dueMinutes / most).toFixed(2)
		);
}

console.log(`drafts of ${SQUADS} squads: ${none} without any drill that can run`);
console.log(`  stops: ${sum(stops)}, ${verdict(sum(stops) === 0)}`);
judge('  warnings, mean', mean(warnings) ?? 0, 1, '', false);
const due = mean(shares) ?? 0;
console.log(`  due minutes of the bound, mean ${(due * 100).toFixed(1)}%, ${verdict(due >= 0.85)}`);
const worst = quantile(shares, 0.1) ?? 0;
console.log(`  in the worst tenth ${(worst * 100).toFixed(1)}%, ${verdict(worst >= 0.65)}`);
console.log(
	`  ${drafts} drafts read; said against them: ${[...said].map(([code, count]) => `${code} ${count}`).join(', ') || 'nothing'}`
);
console.log(`  time busy, mean ${((mean(busy) ?? 0) * 100).toFixed(0)}%`);
console.log(`  minutes left open, mean ${(mean(open) ?? 0).toFixed(1)}`);
const apart = mean(unlike) ?? 0;
console.log(
	`  drill minutes that differ, mean ${(apart * 100).toFixed(0)}%, ${verdict(apart >= 0.5)}`
);

/** What a practice that somebody made by hand asks of a draft: its day, its people, and what it covers. */
function asked(practice: Practice, team: string): DraftInput {
	const around = demoSurroundings(team);
	const { skills } = coverage(evaluate(practice, toContext(around)));
	const { date, start, minutes, expected, adults, late, groundId, arc = 'build-up' } = practice;
	return {
		...around,
		frame: {
			...{ date, start, minutes, expected, adults },
			...(late && { late }),
			...(groundId !== undefined && { groundId })
		},
		arc,
		due: skills
			.filter((each) => each.minutes >= 1)
			.map((each) => ({ skill: each.skill, weight: 1, minutes: Math.round(each.minutes) }))
	};
}

for (const team of demoTeams()) {
	const made = demoPractices(team).flatMap((practice) => {
		const input = asked(practice, team);
		const drafted = draft(input, NAMES);
		if (!drafted.ok) return [];
		const byHand = evaluate(practice, toContext(demoSurroundings(team))).figures.busyShare;
		return [{ byHand, drafted: drafted.value.alternatives[0].figures.busyShare }];
	});
	const [byHand, drafted] = [mean(made, (each) => each.byHand), mean(made, (each) => each.drafted)];
	const percent = (share = 0) => `${(share * 100).toFixed(1)}%`;
	console.log(
		`time busy of ${made.length} practices of ${team}: drafted ${percent(drafted)}, by hand ${percent(byHand)}, ${verdict((drafted ?? 0) >= (byHand ?? 0))}`
	);
}

/** A draft of a whole team on a usual day. */
function whole(team: string, minutes: number, unitTime: boolean): DraftInput {
	const around = demoSurroundings(team);
	return {
		...around,
		frame: {
			...{ date: '2027-04-06', start: '18:30', minutes },
			expected: around.players.map(({ id }) => id),
			adults: around.adults.map(({ id }) => id)
		},
		arc: 'build-up',
		due: around.team.skillAreas
			.slice(0, 5)
			.map(({ id }, k) => ({ skill: id, weight: 5 - k, minutes: 30 })),
		unitTime
	};
}

for (const [team, minutes, units, most] of [
	['saltmarsh', 90, false, 1000],
	['skerryside', 100, true, 3000]
] as const) {
	const input = whole(team, minutes, units);
	draft(input, NAMES);
	const times = Array.from({ length: 5 }, () => {
		const start = performance.now();
		draft(input, NAMES);
		return performance.now() - start;
	});
	slowness();
	judge(
		`three drafts for ${input.frame.expected.length} players, median`,
		median(times),
		most,
		'ms'
	);
}
