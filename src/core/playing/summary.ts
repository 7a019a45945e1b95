import Type, { type Static } from 'typebox';
import { closed, says } from '../model/fields';
import { plannedMinutes } from '../practice';
import type { Evaluation } from './evaluate';

/** What lists show of a practice, so that it need not be played again for them. */
export const PracticeSummary = Type.Object(
	{
		minutes: says(Type.Number(), 'Minutes that there are'),
		plannedMinutes: says(Type.Number(), 'Minutes that are planned'),
		players: says(Type.Number(), 'Players who are expected'),
		adults: says(Type.Number(), 'Adults who come'),
		busyShare: says(Type.Number(), 'Share of the time a player works or helps, 0 to 1'),
		opposedShare: says(
			Type.Number(),
			'Share of the time a player is busy with opponents on the ground, 0 to 1'
		),
		stops: says(Type.Number(), 'Findings that must be fixed'),
		warnings: says(Type.Number(), 'Findings that hurt'),
		hints: says(Type.Number(), 'Findings that could be better')
	},
	closed
);
export type PracticeSummary = Static<typeof PracticeSummary>;

/** The summary of a played practice; `severities` are those of its findings. */
export function summaryOf(
	{ practice, figures }: Evaluation,
	severities: readonly ('stop' | 'warn' | 'hint')[]
): PracticeSummary {
	const count = (of: (typeof severities)[number]) =>
		severities.filter((severity) => severity === of).length;
	return {
		minutes: practice.minutes,
		plannedMinutes: plannedMinutes(practice),
		players: practice.expected.length,
		adults: practice.adults.length,
		busyShare: figures.busyShare,
		opposedShare: figures.opposedShare,
		stops: count('stop'),
		warnings: count('warn'),
		hints: count('hint')
	};
}
