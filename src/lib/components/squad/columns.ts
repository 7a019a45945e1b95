import { positionName } from '$core/model/positions';
import type { Team } from '$core/model/team';
import { fieldColumn, type Column } from '../table/columns';
import type { Entry } from './entries';
import texts from '$texts/squad';
import type { Say } from '$words';

/** The columns of a squad's table: who, which unit and positions, and a rating for each skill area. */
export function squadColumns(team: Team, say: Say): Column<Entry>[] {
	const positions = [...new Set(team.positions ?? [])]
		.map((id) => positionName(id, team))
		.join(', ');
	return [
		fieldColumn('number', {
			heading: say(texts.no),
			kind: 'number',
			label: ({ name }) => say(texts.numberOf, { name: name || say(texts.aNewPlayer) })
		}),
		fieldColumn('name', {
			heading: say(texts.name),
			kind: 'text',
			label: () => say(texts.name),
			isStrong: true
		}),
		fieldColumn('unit', {
			heading: say(texts.unit),
			kind: 'choice',
			label: ({ name }) => say(texts.unitOf, { name }),
			options: team.units
		}),
		fieldColumn('positions', {
			heading: say(texts.positionsBestFirst),
			kind: 'text',
			label: ({ name }) => say(texts.positionsOf, { name }),
			hint: positions
		}),
		...team.skillAreas.map((skill): Column<Entry> => ({
			id: `ratings.${skill.id}`,
			heading: skill.name,
			kind: 'number',
			label: ({ name }) => say(texts.of, { skill: skill.name, name }),
			value: ({ ratings }) => ratings[skill.id] ?? '',
			set: (row, typed) => ({ ...row, ratings: { ...row.ratings, [skill.id]: typed } })
		})),
		fieldColumn('birthYear', {
			heading: say(texts.born),
			kind: 'number',
			label: ({ name }) => say(texts.birthYearOf, { name })
		}),
		fieldColumn('leads', {
			heading: say(texts.leads),
			kind: 'tick',
			label: ({ name }) => say(texts.leadsWell, { name })
		}),
		fieldColumn('usuallyLate', {
			heading: say(texts.late),
			kind: 'tick',
			label: ({ name }) => say(texts.isUsuallyLate, { name })
		})
	];
}
