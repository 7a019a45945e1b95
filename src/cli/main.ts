import { readFileSync } from 'node:fs';
import { badInput } from '../core/base';
import { answer, COMMAND_NAMES, type Answer } from './commands';

/** Commands on the stored data: what they need is loaded only for them. */
const TRANSFERS = ['export', 'import', 'restore'];

const USAGE = `expected: fieldplan COMMAND FILE, FILE "-" for standard input, COMMAND one of ${[...COMMAND_NAMES, ...TRANSFERS].join(', ')}`;

const refuse = (message: string): Answer => ({
	output: { error: badInput([], message) },
	exitCode: 2
});

/** Reads the file (descriptor 0 for "-"), runs the command; every failure is an answer. */
async function run([name, file, ...rest]: string[]): Promise<Answer> {
	if (!name || !file || rest.length > 0) return refuse(USAGE);
	if (TRANSFERS.includes(name)) return (await import('./transfer')).transfer(name, file);
	let input: unknown;
	try {
		input = JSON.parse(readFileSync(file === '-' ? 0 : file, 'utf8'));
	} catch (error) {
		return refuse(`"${file}" cannot be read as JSON: ${(error as Error).message}`);
	}
	try {
		return answer(name, input);
	} catch (error) {
		// A bug of ours: still an answer that a program can read, never a stack trace.
		return {
			output: { error: { code: 'internal', message: (error as Error).message } },
			exitCode: 1
		};
	}
}

const { output, exitCode } = await run(process.argv.slice(2));
process.exitCode = exitCode;
process.stdout.write(`${JSON.stringify(output, null, 1)}\n`);
