import type { DraftInput } from '../../src/core/draft';
import { surroundingsOf } from '../../src/core/model/teamFile';
import { trained } from '../../src/core/model/skill';
import { kitOf } from '../../src/lib/server/usecases/team/sports';
import { wholeTeam } from '../../src/lib/server/usecases/team/createTeam';

const SPORTS = [
	'basketball',
	'volleyball',
	'field-hockey',
	'rugby-union',
	'cricket',
	'association-football'
];
const AGES = [9, 11, 14, 17, 24, 35];
const PLAYERS = [8, 11, 13, 16, 19, 24, 33, 60];
/** No club sends more than these to one court. */
const MOST_INDOORS = 24;
const MINUTES = [45, 60, 75, 90, 120];
const DAY = '2027-05-11';

/**
 * What a new team of one of six sports has on a day, with nothing but what its kit brings: 8 to 60 players of 9 to
 * 35 years, 45 to 120 minutes, 1 to 6 adults. Each number of players, minutes and adults comes with each sport.
 */
export function sportDraft(seed: number): DraftInput {
	const sport = kitOf(SPORTS[seed % SPORTS.length]);
	if (!sport) throw new Error('there is no such kit');
	const from = AGES[Math.floor(seed / SPORTS.length + seed) % AGES.length];
	const count = Math.min(
		PLAYERS[(seed * 5 + 3) % PLAYERS.length],
		sport.ground.indoors ? MOST_INDOORS : Infinity
	);
	const minutes = MINUTES[(seed * 2 + 1) % MINUTES.length];
	const adults = Math.min(6, Math.max(1 + (seed % 6), Math.ceil(count / (from < 12 ? 8 : 16))));
	const team = {
		...{ name: 'Quayside', coach: 'Coach 1', timeZone: 'Europe/London' },
		...{ from, to: from < 18 ? from + 1 : from + 10, players: '' }
	};
	const players = Array.from({ length: count }, (_, k) => ({ name: `Player ${k + 1}` }));
	const { team: file, drills } = wholeTeam(team, { id: 'quayside', sport, players, today: DAY });
	const around = surroundingsOf(
		{
			...{ format: 'fieldplan/team@1', team: file.team, season: file.seasons[0] },
			...{ grounds: file.grounds, kit: file.kit },
			players: file.people.flatMap(({ kind, name, id }) =>
				kind === 'player' ? [{ id, name }] : []
			),
			adults: Array.from({ length: adults }, (_, k) => ({
				...{ id: `adult-${k + 1}`, name: `Coach ${k + 1}`, role: 'coach' }
			}))
		},
		drills
	);
	return {
		...around,
		frame: {
			...{ date: DAY, start: '18:30', minutes },
			expected: around.players.map(({ id }) => id),
			adults: around.adults.map(({ id }) => id)
		},
		arc: seed % 2 === 0 ? 'build-up' : 'play-first',
		due: trained(around.team.skillAreas).map(({ id }, k) => ({
			...{ skill: id, weight: 1 + ((k + seed) % 3), minutes: 12 + 6 * ((k * 3 + seed) % 4) }
		}))
	};
}
