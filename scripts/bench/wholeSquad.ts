// Lets every player of a team have come to every practice: what some had, the others had as well. Prints how
// many rows there are then. Run by itself, since it opens the data folder as the application does.
import { openDatabase } from '../../src/lib/server/database';

const OTHERS = `
	with had as (
		select practice_id, player_id, row_number() over (partition by practice_id order by player_id) - 1 as k,
			count(*) over (partition by practice_id) as n
		from (select distinct practice_id, player_id from ledger) d
	), missing as (
		select p.id as practice_id, o.id as player_id,
			row_number() over (partition by p.id order by o.id) - 1 as k
		from practice p join person o on o.team_id = p.team_id and o.kind = 'player'
		where not exists (select from had where practice_id = p.id and player_id = o.id)
	)
	insert into ledger (team_id, practice_id, period_id, block_id, drill_id, drill_revision, rung, side,
		player_id, unit, date, skill, focus, seconds, active_seconds, turns, opposed, state)
	select l.team_id, l.practice_id, period_id, block_id, drill_id, drill_revision, rung, side,
		m.player_id, l.unit, date, skill, focus, seconds, active_seconds, turns, opposed, state
	from missing m join had h on h.practice_id = m.practice_id and h.k = m.k % h.n
	join ledger l on l.practice_id = h.practice_id and l.player_id = h.player_id`;

const { db, close } = await openDatabase(process.argv[2]);
await db.query(OTHERS);
const { rows } = await db.query<{ rows: number; practices: number; players: number }>(
	`select count(*)::int as rows, count(distinct practice_id)::int as practices,
		count(distinct player_id)::int as players from ledger`
);
console.log(
	`${rows[0].rows} rows of ${rows[0].practices} practices and ${rows[0].players} players`
);
await close();
