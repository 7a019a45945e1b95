import Type, { type Static } from 'typebox';
import { closed, says, SkillId } from '../model/fields';
import { skillsOf } from '../model/skill';
import type { Evaluation } from '../playing';
import { ledgerRows } from './ledger';

/** What `coverage` gives; means are over the players who are expected. */
export const CoverageOutput = Type.Object(
	{
		players: says(Type.Integer({ minimum: 0 }), 'Players who are expected'),
		skills: says(
			Type.Array(
				Type.Object(
					{
						skill: says(SkillId, 'An area of skill, or a stage of it'),
						minutes: says(Type.Number(), 'Mean minutes of a player'),
						activeMinutes: says(Type.Number(), 'Mean minutes at work on the spots that learn it'),
						turns: says(Type.Number(), 'Mean turns on those spots')
					},
					closed
				)
			),
			'What is trained, in the order of the team'
		),
		shares: says(
			Type.Object(
				{
					busy: says(Type.Number(), 'Working or helping, 0 to 1'),
					opposed: says(Type.Number(), 'The part of it with opponents on the ground'),
					unopposed: says(Type.Number(), 'The rest of it'),
					standing: says(Type.Number(), 'Standing in line')
				},
				closed
			),
			'Mean shares of the time of a player'
		)
	},
	closed
);
export type CoverageOutput = Static<typeof CoverageOutput>;

/** What a played practice gives its players of each skill, and how their time is spent. */
export function coverage(evaluation: Evaluation): CoverageOutput {
	const { practice, context, figures } = evaluation;
	const players = practice.expected.length;
	const expected = new Set(practice.expected);
	const sums = new Map<string, CoverageOutput['skills'][number]>();
	for (const { skill, player, seconds, activeSeconds, turns } of ledgerRows(evaluation)) {
		if (!expected.has(player)) continue;
		const sum = sums.get(skill) ?? { skill, minutes: 0, activeMinutes: 0, turns: 0 };
		sum.minutes += seconds / 60 / players;
		sum.activeMinutes += activeSeconds / 60 / players;
		sum.turns += turns / players;
		sums.set(skill, sum);
	}
	const order = skillsOf(context.team.skillAreas);
	const place = (skill: string) => (order.includes(skill) ? order.indexOf(skill) : order.length);
	return {
		players,
		skills: [...sums.values()].sort((a, b) => place(a.skill) - place(b.skill)),
		shares: {
			busy: figures.busyShare,
			opposed: figures.opposedShare,
			unopposed: figures.unopposedShare,
			standing: figures.standingShare
		}
	};
}
