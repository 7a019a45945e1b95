import type { TSchema } from 'typebox';
import { answer } from './commands';
import { EXAMPLES } from './examples';
import { COMMAND_SHAPES, FILE_SHAPES } from './shapes';

const pretty = (value: unknown) => `${JSON.stringify(value, null, '\t')}\n`;

/** A part of a schema with what it expects in its description, where every reader of schemas looks. */
function described(part: unknown): unknown {
	if (Array.isArray(part)) return part.map(described);
	if (typeof part !== 'object' || part === null) return part;
	const { expects, ...rest } = part as { expects?: unknown; description?: string };
	const all = Object.fromEntries(Object.entries(rest).map(([key, each]) => [key, described(each)]));
	if (typeof expects !== 'string') return all;
	return { ...all, description: [rest.description, expects].filter(Boolean).join(': ') };
}

const schemaFile = (title: string, schema: TSchema) =>
	pretty({
		$schema: 'http://json-schema.org/draft-07/schema#',
		title,
		...(described(schema) as object)
	});

/** What each command answers, in a sentence or two. */
const SAYS: Readonly<Record<keyof typeof COMMAND_SHAPES, string>> = {
	simulate:
		'Plays one copy of a drill turn by turn. Gives turns, and for each player tries, help, seconds of work and waiting, and the longest wait.',
	size: 'Lists every way to run a drill for so many players: copies, sizes, what each player gets, and what stands in the way. `best` is the index of the best free one.',
	fit: 'Shares minutes over periods by rank, in whole minutes: what shrinks, what drops, what is left over.',
	group:
		'Deals players to groups that keep every hard rule, with the least score. Rules that clash are named.',
	rotate:
		'Takes groups through stations: by one round, the best of all, or so that no two groups meet twice.',
	lineup:
		'Puts players at positions, shift by shift: fair, without long sits, where they like to play.',
	check:
		'Plays a practice through and lists what does not work, the worst first, with edits that fix it.',
	coverage:
		'Plays a practice through and adds up what its players get of each skill, and how their time is spent; means over the players who are expected.',
	draft:
		'Makes drafts of a practice from its minutes, who is expected and what is due: whole practices in which nothing would stop it, each with why its blocks are there and what it covers.',
	mix: 'Deals players to groups over many sessions so that the same ones are together as seldom as can be. It searches until nothing better can be found, or until its seconds are over.',
	plan: 'Gives all practices of a season to come their drills, rungs and minutes, so that as few minutes as can be are under target and every hard rule holds. It searches until its seconds are over.',
	step: 'Says from counted tries whether to step up or down a ladder, for all as one and for each, with the chances and how few tries more could change it.',
	due: 'Lists the skills that are due, most first: what is owed of a target to date, what has rested for longer than it may, what is on the fix list, what the next opponent asks for.'
};

/** What the schema of a drill cannot say of itself. */
const OF_A_DRILL = [
	'`spots` are the places with a job, `rotation.moves` says where the players of each go after a turn; one that is not named keeps its players. Every spot without `upTo` must get back as many as it gives.',
	'`x` and `y` are metres from the near left corner of a copy, `x` along its length. A way in `paths` runs from a spot or a point to another, in the order of `step`.',
	'`skills` name an area of the team, `passing`, or a stage of it, `passing/2`; their shares are of the drill’s time.',
	'A rung’s `set` replaces whole fields of the drill, so that a rung with other spots lists all of them. Names in ways, cues, faults and `needs` must stand for something on every rung.'
];

function page(): string {
	const commands = (Object.keys(COMMAND_SHAPES) as (keyof typeof COMMAND_SHAPES)[]).map(
		(name) =>
			`## ${name}\n\n${SAYS[name]}\n\n[Input](${name}.input.schema.json), [output](${name}.output.schema.json), [example](${name}.example.json).\n`
	);
	return [
		'# Formats\n',
		'Everything that goes in and out is JSON. The schemas here are made from the ones that check it (`npm run formats`); a key that they do not name is refused. What a field means, its unit and its range are said in its `description`, what a command guarantees in [engine.md](../engine.md).\n',
		'Ids are made of letters, digits, `-` and `_`, those of parts of a practice of dots too; none is the name of a property that every object has, such as `constructor`. Days are those of the calendar from 1900 to 2199. An import also refuses what has its shape and makes no sense: a group, lane, drill or person that is not there, an id that comes twice, more minutes than a day has.\n',
		'A command answers `{"error": {"code", "path"?, "message"}}` where it cannot: `bad-input` (exit code 2) with the place of what is wrong, or `too-few-players`, `unbalanced-rotation` or `infeasible` (exit code 3) for what was understood and cannot be met.\n',
		'`batch` takes an array of `{command, input}` and gives an array of answers in order.\n',
		`Files of the open format: ${Object.keys(FILE_SHAPES)
			.map((name) => `[${name}](${name}.schema.json)`)
			.join(', ')}.\n`,
		`## A drill\n\n${OF_A_DRILL.join('\n\n')}\n`,
		...commands
	].join('\n');
}

/** The files of docs/formats by name: schemas, an example of each command, and the page about them. */
export function formatFiles(): Map<string, string> {
	const files = new Map<string, string>([['README.md', page()]]);
	for (const [name, schema] of Object.entries(FILE_SHAPES))
		files.set(`${name}.schema.json`, schemaFile(name, schema));
	for (const [name, { input, output }] of Object.entries(COMMAND_SHAPES)) {
		files.set(`${name}.input.schema.json`, schemaFile(`${name}, input`, input));
		files.set(`${name}.output.schema.json`, schemaFile(`${name}, output`, output));
		const example = EXAMPLES[name as keyof typeof COMMAND_SHAPES];
		files.set(
			`${name}.example.json`,
			pretty({ command: name, input: example, output: answer(name, example).output })
		);
	}
	return files;
}
