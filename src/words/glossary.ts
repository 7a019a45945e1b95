/** A word of the field that a team may have its own for. */
export interface Term {
	word: string;
	many: string;
	/** What it means here, in a sentence. */
	says: string;
}

/** The words that screens and sheets use, in the order in which a coach meets them. */
export const GLOSSARY: readonly Term[] = [
	{ word: 'practice', many: 'practices', says: 'One meeting of the squad, from start to end.' },
	{ word: 'squad', many: 'squads', says: 'All players of the team.' },
	{ word: 'player', many: 'players', says: 'Somebody of the squad.' },
	{ word: 'adult', many: 'adults', says: 'A coach or a helper.' },
	{ word: 'period', many: 'periods', says: 'A stretch of a practice with its own minutes.' },
	{ word: 'block', many: 'blocks', says: 'A drill within a period, for some minutes.' },
	{ word: 'station', many: 'stations', says: 'A drill that groups come to one after another.' },
	{ word: 'slot', many: 'slots', says: 'The time that a group has at a station.' },
	{ word: 'group', many: 'groups', says: 'Players who go through a period together.' },
	{ word: 'unit', many: 'units', says: 'Players of the same job, such as backs.' },
	{
		word: 'rotation',
		many: 'rotations',
		says: 'The order in which groups go through stations, or players through spots.'
	},
	{ word: 'drill', many: 'drills', says: 'Something that is practised, with its spots and moves.' },
	{ word: 'turn', many: 'turns', says: 'One go at a drill.' },
	{ word: 'rung', many: 'rungs', says: 'A harder or an easier step of a drill.' },
	{ word: 'climb', many: 'climbs', says: 'Several rungs one after another in a block.' },
	{ word: 'cue', many: 'cues', says: 'A few words that say what to do.' },
	{ word: 'feeder', many: 'feeders', says: 'Who starts a turn with the ball.' },
	{ word: 'worker', many: 'workers', says: 'Who the turn is for.' },
	{ word: 'opponent', many: 'opponents', says: 'Who works against the workers.' },
	{ word: 'scrimmage', many: 'scrimmages', says: 'A game at the practice.' },
	{ word: 'zone', many: 'zones', says: 'A part of the ground.' },
	{ word: 'ground', many: 'grounds', says: 'Where the squad practises.' },
	{ word: 'kit', many: 'kits', says: 'Balls, cones and all that is carried.' },
	{ word: 'ball', many: 'balls', says: 'What is played with.' },
	{ word: 'cone', many: 'cones', says: 'What marks a place on the ground.' },
	{ word: 'shelf', many: 'shelves', says: 'All drills of the team.' },
	{ word: 'line-up', many: 'line-ups', says: 'Who plays where in which shift of a game.' },
	{ word: 'debrief', many: 'debriefs', says: 'A look back at what was done.' }
];
