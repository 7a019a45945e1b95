import { type Evaluation, isStation, type PeriodWindow, rungsRun } from '$core/playing';
import { drillOf } from '$core/practice';
import type { Drill } from '$core/model/drill';
import type { Block, Copy, Lane } from '$core/model/practice';
import { turnsWords } from '../tape/words';
import texts from '$texts/paper';
import type { Say } from '$words';

/** A block as the sheet lists it. */
export interface SheetBlock {
	lane: Lane;
	block: Block;
	drill: Drill | undefined;
	zones: string;
	adults: string;
	/** Bibs by slot at a station, or of the copies. */
	bibs: number[][];
	/** Numbers of players that no bib stands for. */
	numbers: string;
	turns: string;
	/** What is run: the rungs one after the other, with what each changes; empty for the drill itself. */
	rungs: string;
	/** The sides on which it is run, where it has any. */
	sides: string;
	/** Cues and cautions of what is run, each once. */
	cues: string[];
	cautions: string[];
}

const namesOf = (ids: readonly string[], name: (id: string) => string | undefined) =>
	[...new Set(ids)].map((id) => name(id) ?? id).join(', ');

/** What a block runs, in words: its rungs, sides, cues and cautions. */
function whatIsRun(
	block: Block,
	drill: Drill | undefined,
	say: Say
): Pick<SheetBlock, 'rungs' | 'sides' | 'cues' | 'cautions'> {
	if (!drill) return { rungs: '', sides: '', cues: [], cautions: [] };
	const run = rungsRun(block, drill);
	const names = block.climb.map(({ rung }) => {
		const found = drill.rungs.find(({ id }) => id === rung);
		return found ? `${found.name} (${found.change})` : say(texts.asItIs);
	});
	const all = <Each>(of: (each: Drill) => readonly Each[]) => [...new Set(run.flatMap(of))];
	return {
		rungs: block.climb.some(({ rung }) => rung !== undefined)
			? names.reduce((first, then) => say(texts.firstThen, { first, then }))
			: '',
		sides: block.side ?? all(({ sides }) => sides?.names ?? []).join(' / '),
		cues: all(({ cues }) => cues.map((cue) => cue.say)),
		cautions: all(({ cautions }) => cautions)
	};
}

/** The blocks of a period with all that a helper needs on paper. */
export function sheetBlocks(
	{ context, figures, runs, practice }: Evaluation,
	{ period }: PeriodWindow,
	say: Say
): SheetBlock[] {
	const adult = (id: string) => context.adultById.get(id)?.name.split(' ')[0];
	const comes = new Set(practice.expected);
	const number = (id: string) =>
		String(context.playerById.get(id)?.number ?? context.playerById.get(id)?.name ?? id);
	const bibOf = (id: string | undefined) => period.groups?.find((group) => group.id === id)?.bib;
	const zonesOf = (copies: readonly Copy[]) =>
		namesOf(
			copies.map(({ zoneId }) => zoneId),
			(id) => context.zoneById.get(id)?.name
		);
	return period.lanes.flatMap((lane) =>
		lane.blocks.map((block): SheetBlock => {
			const own = runs.filter(({ run }) => run.block === block);
			const station = isStation(period, lane);
			const bibs = station
				? own.map(({ run }) => run.groups.map(({ bib }) => bib))
				: block.copies.map(({ group }) => [bibOf(group)].filter((bib) => bib !== undefined));
			const loose = station
				? []
				: block.copies.flatMap(({ players }) => players.filter((id) => comes.has(id)));
			const all = loose.length > 0 && loose.length === practice.expected.length;
			const turns = figures.blocks.get(block.id)?.turns;
			return {
				lane,
				block,
				drill: drillOf(context, block.drill),
				zones: zonesOf(block.copies),
				adults: namesOf(
					own.flatMap(({ run }) => run.adults),
					adult
				),
				bibs: bibs.filter((list) => list.length > 0),
				numbers: all ? say(texts.everyone) : loose.map(number).join(' '),
				turns: turns ? turnsWords(turns, say) : '',
				...whatIsRun(block, drillOf(context, block.drill), say)
			};
		})
	);
}
