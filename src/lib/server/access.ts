/** Who may use a route, and how much may be sent to it. */
export interface Access {
	/** `local`: whoever is at this machine. There are no accounts yet. */
	who: 'local';
	/** Bytes of a request that changes something. */
	mostBytes: number;
}

const reading: Access = { who: 'local', mostBytes: 0 };

/** Every route by its id; one that is not here is refused. */
export const ACCESS: Readonly<Record<string, Access>> = {
	'/': reading,
	'/health': reading,
	'/teams': { who: 'local', mostBytes: 4000 },
	'/teams/new': { who: 'local', mostBytes: 64_000 },
	'/data': { who: 'local', mostBytes: 31_000_000 },
	'/data/export': reading,
	'/[team]/squad': { who: 'local', mostBytes: 600_000 },
	'/[team]/squad/table': { who: 'local', mostBytes: 12_000_000 },
	'/[team]/squad/table/download': reading,
	'/[team]/squad/[person]': { who: 'local', mostBytes: 40_000 },
	'/[team]/squad/[person]/export': reading,
	'/[team]/attendance': { who: 'local', mostBytes: 400_000 },
	'/[team]/together': { who: 'local', mostBytes: 1_000_000 },
	'/[team]/adults': { who: 'local', mostBytes: 100_000 },
	'/[team]/kit': { who: 'local', mostBytes: 100_000 },
	'/[team]/ground': { who: 'local', mostBytes: 4000 },
	'/[team]/ground/[ground]': { who: 'local', mostBytes: 400_000 },
	'/[team]/words': { who: 'local', mostBytes: 10_000 },
	'/[team]/sport': { who: 'local', mostBytes: 100_000 },
	'/[team]/dates': { who: 'local', mostBytes: 200_000 },
	'/[team]/calendar': { who: 'local', mostBytes: 40_000 },
	'/[team]/calendar/file': reading,
	'/[team]/calendar/games': { who: 'local', mostBytes: 12_000_000 },
	'/[team]/targets': { who: 'local', mostBytes: 400_000 },
	'/[team]/ladders': { who: 'local', mostBytes: 100_000 },
	'/[team]/practices/[practice]/calendar': reading,
	'/[team]/season/lacks': reading,
	'/[team]/fixes': { who: 'local', mostBytes: 4000 },
	'/[team]/game-week': { who: 'local', mostBytes: 4000 },
	'/[team]/scenes/[scene]': { who: 'local', mostBytes: 100_000 },
	'/[team]/plan': { who: 'local', mostBytes: 1_000_000 },
	'/[team]/plan/[practice]': reading,
	'/[team]/season': { who: 'local', mostBytes: 20_000 },
	'/[team]/limits': { who: 'local', mostBytes: 8000 },
	'/[team]/drills': reading,
	'/[team]/drills/files': { who: 'local', mostBytes: 6_000_000 },
	'/[team]/drills/files/download': reading,
	'/[team]/drills/lookup': reading,
	'/[team]/drills/[drill]/file': reading,
	'/[team]/drills/new': { who: 'local', mostBytes: 300_000 },
	'/[team]/drills/[drill]': reading,
	'/[team]/drills/[drill]/edit': { who: 'local', mostBytes: 300_000 },
	'/[team]/practices': { who: 'local', mostBytes: 4000 },
	'/[team]/practices/new': { who: 'local', mostBytes: 64_000 },
	'/[team]/practices/pending': reading,
	'/[team]/practices/templates': { who: 'local', mostBytes: 4000 },
	'/[team]/practices/[practice]': reading,
	'/[team]/practices/[practice]/edits': { who: 'local', mostBytes: 500_000 },
	'/[team]/practices/[practice]/document': reading,
	'/[team]/practices/[practice]/met': reading,
	'/[team]/practices/[practice]/due': reading,
	'/[team]/practices/[practice]/game-week': reading,
	'/[team]/practices/[practice]/paper': reading
};
