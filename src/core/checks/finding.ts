import Type, { type Static, type TProperties, type TSchema } from 'typebox';
import { closed, Day, Id, PartId, says, SkillId } from '../model/fields';
import type { Evaluation } from '../playing';
import { Edit } from '../practice';

const Seconds = Type.Number({ description: 'Seconds from the start of the practice' });
const Count = Type.Integer({ minimum: 0 });
const Minutes = Type.Number({ minimum: 0, description: 'Minutes' });
const Share = Type.Number({ minimum: 0, maximum: 1, description: 'A share, 0 to 1' });
const Label = Type.String({ description: 'A name as the coach gave it' });
const shapeOf = <Properties extends TProperties>(properties: Properties) =>
	Type.Object(properties, closed);

const twice = shapeOf({
	first: says(PartId, 'Id of a block'),
	second: says(PartId, 'Id of the other block'),
	atSecond: says(Seconds, 'Second of the practice at which both run')
});

const load = shapeOf({
	kind: says(Label, 'What is counted'),
	count: says(Count, 'How many of it the player has who has most over the cap'),
	limit: says(Type.Number({ minimum: 0 }), 'The most for that player'),
	player: says(Id, 'Id of that player'),
	players: says(Count, 'Players over their cap')
});

const near = shapeOf({
	other: says(PartId, 'Id of the block beside it'),
	gap: Type.Number({ description: 'Metres' }),
	clear: Type.Number({ description: 'Metres' })
});

/** What can be wrong with a practice, with its numbers and ids; each has a rule of its own in this folder. */
export const VALUES = {
	'player-twice': twice,
	'adult-twice': twice,
	'zone-twice': shapeOf({
		first: says(PartId, 'Id of a block'),
		second: says(PartId, 'Id of the other block'),
		fromSecond: says(Seconds, 'Second of the practice from which both run'),
		toSecond: says(Seconds, 'Second of the practice to which both run')
	}),
	'zone-gone': shapeOf({ zone: says(Id, 'Id of the zone that is not there') }),
	'group-size': shapeOf({
		players: says(Count, 'Players of the group'),
		min: says(Count, 'Fewest that the drill takes'),
		max: says(Count, 'Most that the drill takes')
	}),
	'too-few-players': shapeOf({
		players: says(Count, 'Players that there are'),
		needed: says(Count, 'Players that are needed'),
		reason: says(Type.String(), 'Why, in words')
	}),
	'not-here': shapeOf({
		players: says(Count, 'Players who are placed and do not come'),
		adults: says(Count, 'Adults who are placed and do not come'),
		places: says(Count, 'Places that do not run without them')
	}),
	'block-empty': shapeOf({ name: says(Label, 'Name of the period') }),
	'player-unplaced': shapeOf({}),
	'over-time': shapeOf({
		overMinutes: says(Minutes, 'Minutes that are too many'),
		minutes: says(Minutes, 'Minutes that there are'),
		planned: says(Minutes, 'Minutes that are planned')
	}),
	'under-time': shapeOf({
		spareMinutes: says(Minutes, 'Minutes that are left over'),
		minutes: says(Minutes, 'Minutes that there are'),
		planned: says(Minutes, 'Minutes that are planned')
	}),
	'no-warm-up': shapeOf({
		minutes: says(Minutes, 'Minutes of warm-up before it'),
		needed: says(Minutes, 'Minutes that are needed'),
		effort: says(Type.Number(), 'Effort of the block, 1 to 10')
	}),
	waiting: shapeOf({
		players: says(Count, 'Players who wait so long'),
		waitShare: says(Share, 'Share of the block that they wait, 0 to 1'),
		turns: says(Type.Number(), 'Mean turns of a player'),
		longestWaitSeconds: says(Type.Number(), 'Longest wait at a stretch, seconds')
	}),
	'move-short': shapeOf({
		moveSeconds: says(Type.Number(), 'Seconds that there are'),
		needed: Type.Number({ description: 'Seconds' }),
		metres: says(Type.Number(), 'Longest way, metres')
	}),
	'slot-length': shapeOf({
		minutes: says(Type.Number(), 'Minutes of a slot'),
		least: says(Minutes, 'Fewest minutes for this age'),
		most: says(Minutes, 'Most minutes for this age')
	}),
	'talk-long': shapeOf({
		minutes: says(Minutes, 'Minutes of the talk'),
		limit: says(Minutes, 'Most minutes')
	}),
	'hard-after-hard': shapeOf({
		first: says(Label, 'Name of the first period'),
		second: says(Label, 'Name of the next period'),
		effort: says(Type.Number(), 'Effort of the first, 1 to 10'),
		nextEffort: says(Type.Number(), 'Effort of the next, 1 to 10')
	}),
	'kit-short': shapeOf({
		item: says(Label, 'Name of the thing'),
		needed: says(Type.Number(), 'How many are needed'),
		has: says(Type.Number(), 'How many there are')
	}),
	'fixture-short': shapeOf({
		zone: says(Id, 'Id of the zone'),
		copies: says(Count, 'Copies that are planned'),
		serves: says(Count, 'Copies that it serves'),
		items: says(Type.Array(Label), 'Names of what is short')
	}),
	'role-missing': shapeOf({
		role: says(Id, 'Id of the unit'),
		count: says(Count, 'How many each group needs'),
		has: says(Count, 'How many one has')
	}),
	'adults-few': Type.Union([
		shapeOf({
			players: says(Count, 'Players of this age'),
			adults: says(Count, 'Adults who are there'),
			needed: says(Count, 'Adults who are needed'),
			each: Type.Number({ description: 'Players that an adult may have in charge at this age' }),
			until: Type.Optional(says(Seconds, 'Second of the practice until which it is so'))
		}),
		shapeOf({
			adults: says(Count, 'Adults who are there'),
			needed: says(Count, 'Adults who are needed')
		}),
		shapeOf({
			zones: says(Type.Array(Id), 'Ids of zones without an adult'),
			under: Type.Number({ description: 'Years of age' }),
			sight: says(Count, 'Stations that one adult may watch at once')
		})
	]),
	'restricted-player': shapeOf({
		from: says(Type.String(), 'What they are kept out of'),
		setBy: says(Type.String(), 'Who set it'),
		reason: Type.Optional(says(Label, 'Why, in a few words')),
		until: Type.Optional(says(Day, 'Last day, included'))
	}),
	'contact-day': shapeOf({
		minutes: says(Minutes, 'Minutes of hard contact of a player that day'),
		limit: says(Minutes, 'Most minutes')
	}),
	'contact-week': shapeOf({
		minutes: says(Minutes, 'Minutes of hard contact of a player in seven days'),
		limit: says(Minutes, 'Most minutes')
	}),
	'contact-ramp': shapeOf({
		level: Type.Integer({ minimum: 1, maximum: 4, description: 'Level of the contact' }),
		attended: says(Count, 'Practices that the player came to who lacks most'),
		needed: says(Count, 'Practices that must come before'),
		player: says(Id, 'Id of that player'),
		players: says(Count, 'Players who lack some')
	}),
	'contact-row': shapeOf({
		minutes: says(Minutes, 'Minutes of hard contact of a player that day'),
		before: says(Minutes, 'Minutes of it on the day before'),
		limit: says(Minutes, 'Most minutes on each of two days in a row')
	}),
	'too-hard': shapeOf({
		what: says(Type.Enum(['effort', 'contact']), 'What is too much'),
		has: says(Type.Number(), 'How much of it the block has'),
		most: says(Type.Number(), 'The most at this age'),
		age: Type.Number({ description: 'Years of age of the youngest' })
	}),
	'age-unsuited': shapeOf({
		from: Type.Number({ description: 'Years of age from which the drill is meant' }),
		to: Type.Number({ description: 'Years of age up to which the drill is meant' })
	}),
	'drill-long': shapeOf({
		minutes: says(Minutes, 'Minutes of the drill that a player has'),
		limit: says(Minutes, 'Most minutes at this age')
	}),
	'hard-long': shapeOf({
		minutes: says(Minutes, 'Minutes of hard work'),
		limit: says(Minutes, 'Most minutes'),
		easy: says(Minutes, 'Minutes of easier work that would be a rest')
	}),
	'game-near': shapeOf({
		days: says(Count, 'Days to the next game'),
		within: says(Count, 'Days before a game on which the drill is not run')
	}),
	'load-rest': shapeOf({
		kind: says(Label, 'What is counted'),
		count: says(Count, 'How many of it the player had who rests longest'),
		date: says(Day, 'The day on which they had them'),
		until: says(Day, 'The day from which they may again'),
		player: says(Id, 'Id of that player'),
		players: says(Count, 'Players who should rest')
	}),
	'clearance-due': shapeOf({
		from: says(Type.String(), 'What they are kept out of'),
		setBy: says(Type.String(), 'Who set it'),
		until: says(Day, 'Its last day')
	}),
	'sun-on-catch': shapeOf({
		bearing: says(Type.Number(), 'Where the sun stands, degrees from north')
	}),
	'load-week': load,
	'load-day': load,
	'stand-long': shapeOf({
		seconds: says(Type.Number(), 'Longest wait at a stretch, seconds'),
		limit: says(Type.Number(), 'Most seconds at this age')
	}),
	'sun-in-eyes': shapeOf({
		facing: says(Type.Number(), 'Where players look, degrees from north'),
		bearing: says(Type.Number(), 'Where the sun stands, degrees from north')
	}),
	'water-gap': shapeOf({
		minutes: says(Minutes, 'Minutes without water'),
		limit: says(Minutes, 'Most minutes'),
		last: says(PartId, 'Id of the last period of them')
	}),
	'stop-long': shapeOf({
		stopShare: says(Share, 'Share of the block that it is stopped, 0 to 1'),
		limit: says(Share, 'Most of it, 0 to 1')
	}),
	'second-eyes': shapeOf({ adult: says(Id, 'Id of an adult who is free') }),
	'like-partners': shapeOf({
		apart: Type.Number({ description: 'Ratings between two of a group' })
	}),
	'zone-small': shapeOf({
		zone: says(Id, 'Id of the zone'),
		copies: says(Type.Integer(), 'Copies that are laid into it'),
		holds: says(Type.Integer(), 'Copies that it holds')
	}),
	'clear-space': near,
	'look-up-close': near,
	'rung-skipped': shapeOf({
		to: says(Label, 'Name of the rung'),
		missing: says(Label, 'Name of the rung that should come before')
	}),
	'skill-twice': shapeOf({
		skill: says(Type.String(), 'Id of the skill area'),
		first: says(PartId, 'Id of the block that has it already')
	}),
	'floor-short': shapeOf({
		skill: says(SkillId, 'The skill'),
		minutes: says(Minutes, 'Minutes a player that every practice is to hold'),
		got: says(Minutes, 'Minutes a player that this one holds')
	}),
	'daily-missing': shapeOf({ drill: says(Id, 'Id of the drill') }),
	'setup-clash': shapeOf({
		seconds: says(Type.Number(), 'Seconds that it takes to lay out'),
		free: Type.Number({ description: 'Seconds' }),
		first: says(PartId, 'Id of the block that leaves the ground'),
		zone: says(Id, 'Id of the zone')
	})
} satisfies Record<string, TSchema>;

export type FindingCode = keyof typeof VALUES;
export type Values = { [Code in FindingCode]: Static<(typeof VALUES)[Code]> };
const CODES = Object.keys(VALUES) as FindingCode[];

/** Worst first: what would stop the practice, what hurts it, what could be better. */
export const Severity = Type.Enum(['stop', 'warn', 'hint']);

/** Where a finding lies: ids, only those that apply. */
export const Place = Type.Object(
	{
		period: Type.Optional(says(PartId, 'Id of the period')),
		block: Type.Optional(says(PartId, 'Id of the block')),
		player: Type.Optional(says(Id, 'Id of the player')),
		adult: Type.Optional(says(Id, 'Id of the adult')),
		zone: Type.Optional(says(Id, 'Id of the zone')),
		fromSecond: Type.Optional(says(Type.Number(), 'Second of the practice from which it is so'))
	},
	closed
);

/** Everything and everyone that a finding lies at, of what is told as one too; ids, each once. */
export const Among = shapeOf({
	blocks: says(Type.Array(PartId), 'Ids of blocks'),
	periods: says(Type.Array(PartId), 'Ids of periods'),
	players: says(Type.Array(Id), 'Ids of players'),
	adults: says(Type.Array(Id), 'Ids of adults')
});

/** Something that does not work, as data: the words are made in `messages.ts`. */
export const Finding = shapeOf({
	code: says(Type.Enum(CODES), 'What is wrong; it says which `values` there are'),
	severity: says(
		Severity,
		'How bad it is: `stop` must be fixed, `warn` hurts, `hint` could be better'
	),
	at: says(Place, 'Where it lies'),
	/** Those of its code. */
	values: says(
		Type.Union(Object.values<TSchema>(VALUES)),
		'The numbers and ids of it, by its code'
	),
	among: says(Among, 'All that it lies at, of what is told as one too'),
	/** Edits that each mend it and break nothing else, the best first. */
	fixes: says(Type.Array(Edit), 'Edits that each fix it and break nothing else, the best first')
});

export type Severity = Static<typeof Severity>;
export type Place = Static<typeof Place>;
export type Among = Static<typeof Among>;

/** One thing that is wrong at one place. */
export type Trouble<Code extends FindingCode = FindingCode> = {
	[Each in Code]: { code: Each; severity: Severity; at: Place; values: Values[Each] };
}[Code];

export type Finding = Trouble & { among: Among; fixes: Edit[] };

/** What a rule looks for in a played practice, and what could be done about it. */
export interface Rule<Code extends FindingCode = FindingCode> {
	/** Everything that is wrong, each place by itself. */
	find(evaluation: Evaluation): Trouble<Code>[];
	/** Edits that may mend one trouble, the best first: they are tried before they are offered. */
	propose(evaluation: Evaluation, trouble: Trouble<Code>): Iterable<Edit>;
	/** What is tried where none of these will do: the first that mends it is the only fix. */
	otherwise?(evaluation: Evaluation, trouble: Trouble<Code>): Iterable<Edit>;
	/** Edits that may mend several troubles of one cause at once; where there is none they are mended in turn. */
	proposeForAll?(evaluation: Evaluation, troubles: readonly Trouble<Code>[]): Iterable<Edit>;
	/** Troubles of one cause are told as one: what they have in common. Each is its own where it is not said. */
	cause?(trouble: Trouble<Code>, all: readonly Trouble<Code>[]): string;
	/**
	 * Whether its fix may hurt in other places, though never stop the practice: fewer people make less of it,
	 * whatever is done.
	 */
	mayHurt?: boolean;
	/** How bad a trouble is, to be compared with itself after an edit: more is worse. */
	weigh?(trouble: Trouble<Code>): number;
}

/** Troubles of one cause, told and mended as one. */
export type Fault = Trouble & {
	readonly among: Among;
	readonly rule: Rule;
	readonly parts: readonly Trouble[];
};
