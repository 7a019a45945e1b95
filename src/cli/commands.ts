import Type, { type Static, type TSchema } from 'typebox';
import { says } from '../core/model/fields';
import {
	badInput,
	bestWithin,
	fail,
	type Failure,
	ok,
	type Outcome,
	type Search,
	pathText
} from '../core/base';
import { check, describeFinding } from '../core/checks';
import { speaker } from '../words';
import texts from '../words/en/draft';
import { readMessage } from '../words/read';
import { fit, FitInput } from '../core/clock';
import { group, GroupInput, groupSearch } from '../core/grouping';
import { MIX_SECONDS, MixInput, mixSearch } from '../core/mixing';
import { PLAN_SECONDS, planSearch, SeasonPlanInput } from '../core/seasonPlan';
import { lineup, LineupInput, lineupSearch, rotate, RotateInput } from '../core/rotation';
import { draft, DraftInput } from '../core/draft';
import { simulate, SimulateInput } from '../core/drill';
import { Bundle } from '../core/model/bundle';
import { evaluate, type Evaluation } from '../core/playing';
import { toContext } from '../core/practice';
import { coverage, due, DueInput, step, StepInput } from '../core/season';
import { size, SizeInput } from '../core/sizing';
import { readShape } from '../doors';

/** What the command line prints, and the exit code that goes with it. */
export interface Answer {
	output: unknown;
	exitCode: 0 | 1 | 2 | 3;
}

type Command = (input: unknown) => Outcome<unknown>;

/** A command that runs only on input of its shape. */
function command<Schema extends TSchema>(
	schema: Schema,
	run: (input: Static<Schema>) => Outcome<unknown>
): Command {
	return (input) => {
		const read = readShape(schema, input);
		if (read.ok) return run(read.value);
		return fail(badInput(read.failure.path, read.failure.message));
	};
}

/** The practice of a bundle, played. */
function played({ practice, format: _format, ...surroundings }: Static<typeof Bundle>): Evaluation {
	return evaluate(practice, toContext(surroundings));
}

function checkBundle(bundle: Static<typeof Bundle>): Outcome<unknown> {
	const evaluation = played(bundle);
	const say = speaker(evaluation.context.team.words, readMessage);
	const { busyShare, turns } = evaluation.figures;
	return ok({
		findings: check(evaluation).map((finding) => ({
			...finding,
			message: describeFinding(finding, evaluation, say)
		})),
		figures: { busyShare, turns, seconds: evaluation.seconds }
	});
}

/** Drafts of a practice, the names of their periods in the words of the team. */
function draftPractice(input: DraftInput): Outcome<unknown> {
	const say = speaker(input.team.words, readMessage);
	const { water, talk, stations, units } = texts;
	return draft(input, {
		...{ water: say(water), talk: say(talk), stations: say(stations), units: say(units) }
	});
}

/** The best of a search within its seconds: the command line holds the clock. */
function within<Output>(search: Outcome<Search<Output>>, seconds: number): Outcome<Output> {
	if (!search.ok) return search;
	return ok(bestWithin(search.value, { now: () => performance.now(), seconds }));
}

const COMMANDS: ReadonlyMap<string, Command> = new Map([
	['simulate', command(SimulateInput, simulate)],
	['size', command(SizeInput, size)],
	['fit', command(FitInput, fit)],
	[
		'group',
		command(GroupInput, (input) =>
			input.secondsLimit === undefined
				? group(input)
				: within(groupSearch(input), input.secondsLimit)
		)
	],
	['rotate', command(RotateInput, rotate)],
	[
		'lineup',
		command(LineupInput, (input) =>
			input.secondsLimit === undefined
				? lineup(input)
				: within(lineupSearch(input), input.secondsLimit)
		)
	],
	['check', command(Bundle, checkBundle)],
	['coverage', command(Bundle, (bundle) => ok(coverage(played(bundle))))],
	['draft', command(DraftInput, draftPractice)],
	[
		'mix',
		command(MixInput, (input) => within(mixSearch(input), input.secondsLimit ?? MIX_SECONDS))
	],
	[
		'plan',
		command(SeasonPlanInput, (input) =>
			within(planSearch(input), input.secondsLimit ?? PLAN_SECONDS)
		)
	],
	['step', command(StepInput, step)],
	['due', command(DueInput, due)]
]);

/** Names of the commands, `batch` among them. */
export const COMMAND_NAMES = [...COMMANDS.keys(), 'batch'];

const Batch = Type.Array(
	Type.Object(
		{ command: says(Type.String(), 'Name of a command'), input: says(Type.Unknown(), 'Its input') },
		{ additionalProperties: false }
	)
);

/** A failure as it is answered: its path as text. */
const errorOf = (failure: Failure) => ({
	error: 'path' in failure ? { ...failure, path: pathText(failure.path) } : failure
});

function runOne(name: string, input: unknown): Outcome<unknown> {
	const run = COMMANDS.get(name);
	if (run) return run(input);
	const known = COMMAND_NAMES.join(', ');
	return fail(badInput(['command'], `"${name}" is no command; expected one of ${known}`));
}

/** Answers a command. `batch` gives an array of results in order, an error as its own element. */
export function answer(name: string, input: unknown): Answer {
	if (name === 'batch') {
		const read = readShape(Batch, input);
		if (!read.ok) return answerOf(fail(badInput(read.failure.path, read.failure.message)));
		const output = read.value.map((each) => {
			const outcome = runOne(each.command, each.input);
			return outcome.ok ? outcome.value : errorOf(outcome.failure);
		});
		return { output, exitCode: 0 };
	}
	return answerOf(runOne(name, input));
}

function answerOf(outcome: Outcome<unknown>): Answer {
	if (outcome.ok) return { output: outcome.value, exitCode: 0 };
	const exitCode = outcome.failure.code === 'bad-input' ? 2 : 3;
	return { output: errorOf(outcome.failure), exitCode };
}
