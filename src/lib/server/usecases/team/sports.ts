import { misfitText } from '$core/base';
import { Sport } from '$core/model/sport';
import { readJson } from '../../../../doors';
import { shippedFiles } from '../../shipped';

function readSports(): Sport[] {
	const sports = [...shippedFiles('sports')].map(([path, text]) => {
		const sport = readJson(Sport, text);
		if (sport.ok) return sport.value;
		throw new Error(`sports/${path}: ${misfitText(sport.failure)}`);
	});
	return sports.sort((a, b) => a.name.localeCompare(b.name));
}

let sports: Sport[] | undefined;

/** The sport kits that ship with the application, by name; each file is checked against its schema, and read once. */
export const listSports = (): readonly Sport[] => (sports ??= readSports());

/** The kit of a sport by its id; undefined where none ships. */
export const kitOf = (sport: string): Sport | undefined =>
	listSports().find(({ id }) => id === sport);
