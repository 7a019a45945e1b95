import type { Outcome, Progress } from '$core/base';
import type { DraftInput, DraftNames, DraftOutput } from '$core/draft';
import type { GroupInput, GroupOutput } from '$core/grouping';
import type { MixOutput, OccasionsInput } from '$core/mixing';
import type { SeasonPlanInput, SeasonPlanOutput } from '$core/seasonPlan';
import type { LineupInput, LineupOutput, RotateInput, RotateOutput } from '$core/rotation';

/** What the planner is asked, by kind. */
export interface Questions {
	draft: { input: { of: DraftInput; names: DraftNames }; output: DraftOutput };
	group: { input: GroupInput; output: GroupOutput };
	lineup: { input: LineupInput; output: LineupOutput };
	mix: { input: OccasionsInput; output: MixOutput };
	plan: { input: SeasonPlanInput; output: SeasonPlanOutput };
	rotate: { input: RotateInput; output: RotateOutput };
}
export type Kind = keyof Questions;

/** One question: the seconds that a search may take, and who hears how far it is. */
export interface Question<K extends Kind> {
	kind: K;
	input: Questions[K]['input'];
	seconds: number;
}

/** What the worker offers to the page. */
export interface PlannerApi {
	ask<K extends Kind>(
		question: Question<K>,
		onreport: (report: Progress<Questions[K]['output']>) => void | Promise<void>
	): Promise<Outcome<Questions[K]['output']>>;
	/** Ends the search that runs: it answers with its best so far. */
	stop(): void;
}
