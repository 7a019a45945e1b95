import type { Static } from 'typebox';
import type { Drill } from '../core/model/drill';
import type { COMMAND_SHAPES } from './shapes';

type Examples = {
	[Name in keyof typeof COMMAND_SHAPES]: Static<(typeof COMMAND_SHAPES)[Name]['input']>;
};

/** Two lines of players who pass and follow their pass. */
const PASS_AND_FOLLOW: Drill = {
	format: 'fieldplan/drill@1',
	id: 'pass-and-follow',
	name: 'Pass and follow',
	summary: 'Two lines face each other; whoever passes runs to the other side.',
	sports: ['any'],
	skills: [{ skill: 'passing', share: 1, focus: 'main' }],
	group: { min: 4, ideal: 6, max: 10 },
	spots: [
		{ id: 'near', role: 'worker', count: 1, line: true, x: 1, y: 3 },
		{ id: 'far', role: 'worker', count: 1, line: true, x: 11, y: 3 }
	],
	turn: { workSeconds: 5, headwaySeconds: 6 },
	rotation: { moves: { near: 'far', far: 'near' } },
	ground: { length: 12, width: 6 },
	kit: [{ item: 'ball', count: 1, per: 'copy' }],
	coaches: { min: 0, ideal: 1 },
	contact: 0,
	effort: 4,
	frequency: 'daily',
	cues: [{ say: 'Look before it comes.' }],
	cautions: [],
	rungs: [
		{
			id: 'longer',
			name: 'Longer',
			change: 'Twelve metres become eighteen.',
			lever: 'distance',
			set: { ground: { length: 18, width: 6 }, turn: { workSeconds: 6, headwaySeconds: 7 } }
		}
	]
};

const PLAYERS = ['Ada', 'Bo', 'Cy', 'Di', 'Eli', 'Fay', 'Gus', 'Hal'];

/** A small practice with all that it is built from. */
const BUNDLE: Examples['check'] = {
	format: 'fieldplan/bundle@1',
	practice: {
		format: 'fieldplan/practice@1',
		id: 'monday',
		teamId: 'team',
		seasonId: 'spring',
		date: '2027-03-01',
		start: '18:00',
		timeZone: 'Europe/London',
		minutes: 20,
		place: 'Hall',
		expected: PLAYERS,
		adults: ['coach'],
		periods: [
			{
				id: 'pass',
				name: 'Pass and follow',
				kind: 'together',
				rank: 'must',
				min: 8,
				ideal: 15,
				max: 20,
				minutes: 15,
				lanes: [
					{
						id: 'lane',
						zoneIds: ['hall'],
						blocks: [
							{
								id: 'block',
								drill: { id: 'pass-and-follow', revision: 1 },
								climb: [{ minutes: 15 }],
								minutes: 15,
								copies: [{ id: 'copy', zoneId: 'hall', players: PLAYERS, adults: ['coach'] }],
								stopShare: 0.05
							}
						]
					}
				]
			}
		]
	},
	team: {
		id: 'team',
		name: 'A team',
		sport: 'any',
		ages: { from: 12, to: 14 },
		timeZone: 'Europe/London',
		skillAreas: [{ id: 'passing', name: 'Passing' }],
		units: []
	},
	season: { id: 'spring', name: 'Spring', firstDay: '2027-03-01', weeks: 10 },
	players: PLAYERS.map((id) => ({ id, name: id })),
	adults: [{ id: 'coach', name: 'Coach', role: 'head coach' }],
	ground: {
		id: 'hall',
		name: 'Hall',
		length: 40,
		width: 20,
		markings: [],
		zones: [{ id: 'hall', name: 'Hall', x: 0, y: 0, length: 40, width: 20 }]
	},
	kit: { ball: 4 },
	drills: [PASS_AND_FOLLOW]
};

const { format: _format, practice: _practice, ...DRAFT_FROM } = BUNDLE;

/** One input of each command, as the documentation shows it. */
export const EXAMPLES: Examples = {
	simulate: { drill: PASS_AND_FOLLOW, players: 6, minutes: 10, stopShare: 0.1 },
	size: {
		drill: PASS_AND_FOLLOW,
		players: 18,
		minutes: 10,
		limits: { coaches: 3, zones: [{ id: 'hall', length: 40, width: 20 }], kit: { ball: 4 } },
		aims: { waitShare: 0.5 }
	},
	fit: {
		minutes: 60,
		periods: [
			{ id: 'warm-up', min: 8, ideal: 10, max: 12, rank: 'must' },
			{ id: 'stations', min: 20, ideal: 32, max: 40, rank: 'must' },
			{ id: 'race', min: 5, ideal: 8, max: 10, rank: 'could' },
			{ id: 'game', min: 10, ideal: 15, max: 25, rank: 'should' }
		]
	},
	group: {
		players: PLAYERS.map((id, k) => ({
			id,
			ratings: { passing: 1 + (k % 5), running: 1 + ((k * 3) % 5) }
		})),
		sizes: [4, 4],
		mode: 'even',
		apart: [['Ada', 'Bo']],
		together: [['Cy', 'Di']],
		pins: { Hal: 1 }
	},
	rotate: {
		groups: ['red', 'blue', 'green', 'gold'],
		stations: [
			{ id: 'gates', x: 5, y: 5, effort: 4 },
			{ id: 'duel', x: 25, y: 5, effort: 9 },
			{ id: 'wall', x: 25, y: 25, effort: 5 },
			{ id: 'chase', x: 5, y: 25, effort: 8 }
		]
	},
	lineup: {
		players: PLAYERS.map((id, k) => ({
			id,
			positions: k === 0 ? ['keeper'] : ['field', 'keeper'].slice(0, 1 + (k % 2))
		})),
		positions: ['keeper', 'field', 'field', 'field', 'field'],
		shifts: 4
	},
	check: BUNDLE,
	coverage: BUNDLE,
	draft: {
		...DRAFT_FROM,
		frame: {
			date: '2027-04-06',
			start: '18:30',
			minutes: 45,
			expected: DRAFT_FROM.players.map(({ id }) => id),
			adults: ['coach']
		},
		arc: 'build-up',
		due: [{ skill: 'passing', weight: 1, minutes: 20 }],
		alternatives: 1
	},
	mix: { players: [...PLAYERS, 'Ida'], groupSize: 3, sessions: 4 },
	plan: {
		today: '2027-04-05',
		practices: ['2027-04-06', '2027-04-08', '2027-04-13'].map((date, k) => ({
			id: `practice-${k + 1}`,
			date,
			minutes: 12,
			players: PLAYERS.length,
			adults: 1
		})),
		players: PLAYERS,
		skills: [{ id: 'passing', targets: [{ from: '2027-04-01', to: '2027-04-30', minutes: 30 }] }],
		drills: [PASS_AND_FOLLOW],
		ladders: [{ drill: 'pass-and-follow', rung: null, last: '2027-04-01' }],
		held: [{ date: '2027-04-01', load: 120 }],
		games: [{ date: '2027-04-10' }]
	},
	step: {
		tallies: [
			{ who: 'red', clean: 17, tries: 20 },
			{ who: 'blue', clean: 6, tries: 14 }
		]
	},
	due: {
		today: '2027-04-06',
		season: { firstDay: '2027-03-01' },
		players: PLAYERS,
		skills: [
			{
				id: 'passing',
				targets: [{ from: '2027-03-01', to: '2027-05-02', minutes: 180 }]
			},
			{ id: 'finishing', targets: [], fix: true }
		],
		rows: PLAYERS.map((player) => ({
			date: '2027-03-30',
			skill: 'passing/1',
			player,
			seconds: 900,
			focus: 'main'
		})),
		tallies: [{ date: '2027-03-30', skill: 'passing/1', clean: 14, tries: 20 }]
	}
};
