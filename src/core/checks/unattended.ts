import { maySupervise, type PlannedRun } from '../playing';
import { overBlocks, type PlayedBlock } from './blockRule';
import { freeAdultsBeside } from './shared';

/** The runs of a block that no adult watches who may: none is in their zone while they go on. */
function aloneIn({ runs, evaluation }: PlayedBlock): PlannedRun[] {
	const mayWatch = (id: string) => maySupervise(id, evaluation.context);
	return runs
		.map(({ run }) => run)
		.filter((run) => {
			const beside = evaluation.runs.filter(
				({ run: other }) =>
					other.copy.zoneId === run.copy.zoneId &&
					other.fromSecond <= run.fromSecond &&
					other.toSecond >= run.toSecond
			);
			return run.players.length > 0 && !beside.some(({ run: { adults } }) => adults.some(mayWatch));
		});
}

/** Young players are at a station or in a copy that no adult watches. */
export const unattended = overBlocks({
	code: 'adults-few',
	severity: 'stop',
	find(played) {
		const { team, limits } = played.evaluation.context;
		if (team.ages.from >= limits.aloneFromAge) return null;
		const alone = aloneIn(played);
		if (alone.length === 0) return null;
		const zones = new Set(alone.map(({ copy }) => copy.zoneId));
		const values = { zones: [...zones], under: limits.aloneFromAge };
		return { values, fromSecond: alone[0].fromSecond };
	},
	cause: () => 'zones',
	weigh: ({ values }) => ('zones' in values ? values.zones.length : 0),
	accepts: () => true,
	/** An adult who is free, one for each zone. */
	*propose(played) {
		const { block } = played.runs[0].run;
		const alone = aloneIn(played);
		const free = freeAdultsBeside(alone, played.evaluation);
		const zones = new Set(alone.map(({ copy }) => copy.zoneId));
		const copies = block.copies.map((copy) =>
			free.length > 0 && zones.delete(copy.zoneId)
				? { ...copy, adults: [...copy.adults, ...free.splice(0, 1)] }
				: copy
		);
		yield { type: 'set-block', block: block.id, set: { copies } };
	}
});
