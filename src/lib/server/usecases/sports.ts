import { Sport } from '$core/model/sport';
import { readShape } from '../../../doors';

const files = import.meta.glob('/sports/*.json', { import: 'default', eager: true });

/** The sport kits that ship with the application, by name; each file is checked against its schema. */
export function listSports(): Sport[] {
	return Object.entries(files)
		.map(([path, value]) => {
			const shape = readShape(Sport, value);
			if (shape.ok) return shape.value;
			throw new Error(`${path}: ${shape.failure.path} ${shape.failure.message}`);
		})
		.sort((a, b) => a.name.localeCompare(b.name));
}
