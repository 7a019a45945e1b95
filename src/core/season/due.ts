import Type, { type Static } from 'typebox';
import { badInput, fail, ok, type Failure, type Outcome } from '../base';
import { daysBetween } from '../conditions';
import { byKey, closed, Day, Id, says, SkillId } from '../model/fields';
import { adviceOn, DEFAULT_WINDOW, tallyFault, windowFault } from './step';
import { SuccessWindow } from './stepShapes';

const Count = Type.Integer({ minimum: 0, maximum: 1_000_000 });

/** What `due` takes. */
export const DueInput = Type.Object(
	{
		today: says(Day, 'The day that is planned from: what is on it or later does not count'),
		season: says(
			Type.Object({ firstDay: says(Day, 'Its first day: what was before does not count') }, closed),
			'The season'
		),
		players: says(Type.Array(Id, { maxItems: 500 }), 'Ids of the players'),
		units: Type.Optional(says(byKey(Id, Id), 'Unit of each player who has one, by id')),
		skills: says(
			Type.Array(
				Type.Object(
					{
						id: says(SkillId, 'An area of skill, or a stage of it'),
						unit: Type.Optional(says(Id, 'The unit that it is for; everyone where not said')),
						targets: says(
							Type.Array(
								Type.Object(
									{
										from: says(Day, 'Its first day'),
										to: says(Day, 'Its last day, included'),
										minutes: says(
											Type.Number({ minimum: 0, maximum: 1_000_000 }),
											'Minutes that each player is to have in it'
										)
									},
									closed
								),
								{ maxItems: 200 }
							),
							'Minutes that are asked for, by stretch of days'
						),
						fix: Type.Optional(says(Type.Boolean(), 'Whether something of it is on the fix list')),
						seeded: Type.Optional(says(Type.Boolean(), 'Whether the next opponent asks for it'))
					},
					closed
				),
				{ maxItems: 500 }
			),
			'Skills that may be due, each once'
		),
		rows: says(
			Type.Array(
				Type.Object(
					{
						date: says(Day, 'Day of the practice'),
						skill: says(SkillId, 'What was trained'),
						player: says(Id, 'Id of the player'),
						seconds: says(Type.Number({ minimum: 0, maximum: 1_000_000_000 }), 'Seconds of it'),
						focus: says(Type.Enum(['main', 'second']), 'Whether it was a main skill of the drill')
					},
					closed
				)
			),
			'What was trained'
		),
		tallies: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							date: says(Day, 'Day of the practice'),
							skill: says(SkillId, 'What was counted'),
							clean: says(Count, 'Tries that were clean, whole'),
							tries: says(Count, 'Tries in all, whole')
						},
						closed
					)
				),
				'What was counted'
			)
		),
		window: Type.Optional(
			says(SuccessWindow, 'Shares between which a rung suits, over 0 and under 1; 0.55 and 0.75')
		),
		spacing: Type.Optional(
			says(
				Type.Object(
					{
						firstDays: Type.Optional(
							says(
								Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
								'Days to the second time; 4'
							)
						),
						growth: Type.Optional(
							says(
								Type.Number({ minimum: 1, maximum: 1000 }),
								'How many times longer each next pause is; 1.5'
							)
						),
						mostDays: Type.Optional(
							says(
								Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
								'The longest pause in days; 28'
							)
						)
					},
					closed
				),
				'How long a skill may rest: longer from time to time'
			)
		)
	},
	closed
);
export type DueInput = Static<typeof DueInput>;

/** What `due` gives. */
export const DueOutput = Type.Object(
	{
		due: says(
			Type.Array(
				Type.Object(
					{
						skill: says(SkillId, 'The skill'),
						score: says(Type.Number(), 'How much it is due: the sum of its parts'),
						parts: says(
							Type.Object(
								{
									owed: says(Type.Number(), 'Share of the target to date that is missing, 0 to 1'),
									since: says(Type.Number(), 'How long it rests against how long it may, 0 to 2'),
									fix: says(Type.Number(), '1 where it is on the fix list, else 0'),
									seed: says(Type.Number(), '1 where the next opponent asks for it, else 0')
								},
								closed
							),
							'What makes it due'
						),
						owedMinutes: says(Type.Number(), 'Minutes a player that are missing to date'),
						gotMinutes: says(Type.Number(), 'Mean minutes of those that it is for'),
						targetMinutes: says(Type.Number(), 'Minutes that are asked for to date'),
						last: says(
							Type.Union([Day, Type.Null()]),
							'The last day it was a main skill; null for never'
						),
						intervalDays: says(Type.Number(), 'Days that it may rest now')
					},
					closed
				)
			),
			'Skills, what is due most first; equals in their order'
		)
	},
	closed
);
export type DueOutput = Static<typeof DueOutput>;
type Due = DueOutput['due'][number];
type Skill = DueInput['skills'][number];

const SPACING = { firstDays: 4, growth: 1.5, mostDays: 28 };
const MOST_SINCE = 2;
/** Scores nearer than this are equal. */
const DIGITS = 1e9;

/** Days from one day to another with both of them. */
const daysWithin = (from: string, to: string) => daysBetween(from, to) + 1;

/** Whether something trained or counted is a skill, or a stage of it. */
const isOf = (skill: string, id: string) => skill === id || skill.startsWith(`${id}/`);

/** Minutes that are asked for to date: of each target the share of its days that has begun. */
export const targetOn = (targets: Skill['targets'], today: string): number =>
	targets.reduce((sum, { from, to, minutes }) => {
		const begun = daysWithin(from, today < to ? today : to);
		return sum + (minutes * Math.max(0, begun)) / daysWithin(from, to);
	}, 0);

function dueOf(skill: Skill, input: DueInput): Due {
	const { today, season, players, units = {}, rows, tallies = [] } = input;
	const window = input.window ?? DEFAULT_WINDOW;
	const spacing = { ...SPACING, ...input.spacing };
	const counts = ({ date, skill: of }: { date: string; skill: string }) =>
		date >= season.firstDay && date < today && isOf(of, skill.id);
	const forWhom = new Set(
		skill.unit === undefined ? players : players.filter((id) => units[id] === skill.unit)
	);
	const own = rows.filter((row) => counts(row) && forWhom.has(row.player));
	const gotMinutes =
		forWhom.size === 0 ? 0 : own.reduce((sum, { seconds }) => sum + seconds, 0) / 60 / forWhom.size;
	const targetMinutes = targetOn(skill.targets, today);
	const owedMinutes = Math.max(0, targetMinutes - gotMinutes);

	const days = [
		...new Set(own.flatMap(({ date, focus }) => (focus === 'main' ? date : [])))
	].sort();
	const failed = tallies
		.filter(
			(tally) => counts(tally) && adviceOn(tally.clean, tally.tries, window).advice === 'down'
		)
		.map(({ date }) => date)
		.sort()
		.at(-1);
	const times = Math.max(1, days.filter((day) => failed === undefined || day > failed).length);
	const intervalDays = Math.min(
		spacing.mostDays,
		spacing.firstDays * spacing.growth ** (times - 1)
	);
	const last = days.at(-1) ?? null;
	const begun = skill.targets
		.map(({ from }) => from)
		.filter((from) => from <= today)
		.sort()
		.at(0);
	const asked = begun === undefined || begun > season.firstDay ? begun : season.firstDay;
	const from = last ?? asked;
	const rests = from === undefined ? 0 : Math.max(0, daysBetween(from, today)) / intervalDays;

	const isForSomebody = forWhom.size > 0;
	const parts = {
		owed: isForSomebody && targetMinutes > 0 ? owedMinutes / targetMinutes : 0,
		since: isForSomebody ? Math.min(MOST_SINCE, rests) : 0,
		fix: skill.fix ? 1 : 0,
		seed: skill.seeded ? 1 : 0
	};
	const score = parts.owed + parts.since + parts.fix + parts.seed;
	return {
		skill: skill.id,
		score,
		parts,
		owedMinutes: isForSomebody ? owedMinutes : 0,
		gotMinutes,
		targetMinutes,
		last,
		intervalDays
	};
}

function faultIn({ skills, tallies = [], window }: DueInput): Failure | null {
	const ids = new Set<string>();
	for (const [index, { id, targets }] of skills.entries()) {
		if (ids.has(id))
			return badInput(['skills', index, 'id'], `expected different ids, got "${id}" twice`);
		ids.add(id);
		const backwards = targets.findIndex(({ from, to }) => to < from);
		if (backwards >= 0)
			return badInput(
				['skills', index, 'targets', backwards, 'to'],
				`expected ${targets[backwards].from} or later, got ${targets[backwards].to}`
			);
	}
	return windowFault(window) ?? tallies.map(tallyFault).find((each) => each !== null) ?? null;
}

/**
 * What is due next: what is owed of its target, what has rested for longer than it may, what a game has
 * shown to be wrong, what the next opponent asks for. Fails with `bad-input`.
 */
export function due(input: DueInput): Outcome<DueOutput> {
	const players = new Set(input.players);
	if (players.size < input.players.length) {
		const index = input.players.findIndex((id, at) => input.players.indexOf(id) !== at);
		return fail(
			badInput(['players', index], `expected different ids, got "${input.players[index]}" twice`)
		);
	}
	const fault = faultIn(input);
	if (fault) return fail(fault);
	const rounded = ({ score }: Due) => Math.round(score * DIGITS);
	return ok({
		due: input.skills.map((skill) => dueOf(skill, input)).sort((a, b) => rounded(b) - rounded(a))
	});
}
