import type { Drill } from '$core/model/drill';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { numberIn, type SpotCalling } from './lines';
import { spotsNamed } from './partRows';
import texts from '$texts/drafting';
import type { Say } from '$words';

/** A skill of a drill while it is typed in; its share in percent of the drill's time. */
export interface SkillRow extends TypedRow {
	skill: string;
	share: string;
	focus: string;
	/** Names of the spots whose players learn it; everyone at work where it is empty. */
	spots: string;
}

export const skillRows = ({ skills }: Drill, { nameOf }: SpotCalling): SkillRow[] =>
	skills.map(({ skill, share, focus, spots = [] }, index) => ({
		key: `skill-${index}`,
		skill,
		share: String(Math.round(share * 1000) / 10),
		focus,
		spots: spots.map(nameOf).join(', ')
	}));

/** The skills that rows say; those without one are passed over. */
export const skillsIn = (rows: readonly SkillRow[], calling: SpotCalling): Drill['skills'] =>
	rows
		.filter(({ skill }) => skill !== '')
		.map(({ skill, share, focus, spots }) => {
			const learners = spotsNamed(spots, calling);
			return {
				skill,
				share: Math.min(1, Math.max(0, numberIn(share) / 100 || 0)),
				focus: focus === 'second' ? 'second' : 'main',
				...(learners && { spots: learners })
			};
		});

/** The columns of the skills' table, to choose from the skills that are named. */
export const skillColumns = (
	skills: readonly { id: string; name: string }[],
	say: Say
): Column<SkillRow>[] => {
	const of = ({ skill }: SkillRow) =>
		skills.find(({ id }) => id === skill)?.name ?? say(texts.aSkill);
	return [
		fieldColumn<SkillRow, 'skill'>('skill', {
			heading: say(texts.skill),
			kind: 'choice',
			label: () => say(texts.skill),
			options: skills
		}),
		fieldColumn<SkillRow, 'share'>('share', {
			heading: say(texts.share),
			kind: 'number',
			label: (row) => say(texts.shareOf, { skill: of(row) })
		}),
		fieldColumn<SkillRow, 'focus'>('focus', {
			heading: say(texts.focus),
			kind: 'choice',
			isNeeded: true,
			label: (row) => say(texts.focusOn, { skill: of(row) }),
			options: [
				{ id: 'main', name: say(texts.main) },
				{ id: 'second', name: say(texts.second) }
			]
		}),
		fieldColumn<SkillRow, 'spots'>('spots', {
			heading: say(texts.learntOn),
			kind: 'text',
			label: (row) => say(texts.ofRow, { heading: say(texts.learntOn), spot: of(row) }),
			hint: say(texts.allAtWork),
			least: 100
		})
	];
};
