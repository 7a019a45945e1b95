import type { Team } from '$core/model/team';
import { fieldColumn, type Column } from '../table/columns';
import type { Entry } from './entries';

/** The columns of a squad's table: who, which unit and positions, and a rating for each skill area. */
export function squadColumns(team: Team): Column<Entry>[] {
	const positions = [...new Set(team.positions ?? [])].join(', ');
	return [
		fieldColumn('number', {
			heading: 'No.',
			kind: 'number',
			label: ({ name }) => `Number of ${name || 'a new player'}`
		}),
		fieldColumn('name', {
			heading: 'Name',
			kind: 'text',
			label: () => 'Name',
			isStrong: true
		}),
		fieldColumn('unit', {
			heading: 'Unit',
			kind: 'choice',
			label: ({ name }) => `Unit of ${name}`,
			options: team.units
		}),
		fieldColumn('positions', {
			heading: 'Positions, best first',
			kind: 'text',
			label: ({ name }) => `Positions of ${name}`,
			hint: positions
		}),
		...team.skillAreas.map((skill): Column<Entry> => ({
			id: `ratings.${skill.id}`,
			heading: skill.name,
			kind: 'number',
			label: ({ name }) => `${skill.name} of ${name}`,
			value: ({ ratings }) => ratings[skill.id] ?? '',
			set: (row, typed) => ({ ...row, ratings: { ...row.ratings, [skill.id]: typed } })
		})),
		fieldColumn('birthYear', {
			heading: 'Born',
			kind: 'number',
			label: ({ name }) => `Birth year of ${name}`
		}),
		fieldColumn('leads', {
			heading: 'Leads',
			kind: 'tick',
			label: ({ name }) => `${name} leads well`
		}),
		fieldColumn('usuallyLate', {
			heading: 'Late',
			kind: 'tick',
			label: ({ name }) => `${name} is usually late`
		})
	];
}
