import Type, { type TSchema } from 'typebox';
import { Finding } from '../core/checks';
import { FitInput, FitOutput } from '../core/clock';
import { DraftInput, DraftOutput } from '../core/draft';
import { SimulateInput, SimulateOutput, Spread } from '../core/drill';
import { GroupInput, GroupOutput } from '../core/grouping';
import { AttendanceFile } from '../core/model/attendance';
import { LaddersFile } from '../core/model/ladders';
import { Bundle } from '../core/model/bundle';
import { Drill } from '../core/model/drill';
import { ExportTeam } from '../core/model/exportFiles';
import { closed, says } from '../core/model/fields';
import { Practice, Template } from '../core/model/practice';
import { Sport } from '../core/model/sport';
import { MixInput, MixOutput } from '../core/mixing';
import { SeasonPlanInput, SeasonPlanOutput } from '../core/seasonPlan';
import { LineupInput, LineupOutput, RotateInput, RotateOutput } from '../core/rotation';
import { CoverageOutput, DueInput, DueOutput, StepInput, StepOutput } from '../core/season';
import { SizeInput, SizeOutput } from '../core/sizing';

/** What `check` gives: findings with their words, and figures of the whole practice. */
export const CheckOutput = Type.Object(
	{
		findings: says(
			Type.Array(
				Type.Object(
					{ ...Finding.properties, message: says(Type.String(), 'The finding in a sentence') },
					closed
				)
			),
			'What does not work, the worst first'
		),
		figures: says(
			Type.Object(
				{
					busyShare: says(Type.Number(), 'Share of the time that players work, 0 to 1'),
					turns: says(Spread, 'Turns of a player'),
					seconds: says(Type.Number(), 'Seconds from the start to the end of the last period')
				},
				closed
			),
			'Figures of the whole practice'
		)
	},
	closed
);

/** The shapes of each command, by its name. */
export const COMMAND_SHAPES = {
	simulate: { input: SimulateInput, output: SimulateOutput },
	size: { input: SizeInput, output: SizeOutput },
	fit: { input: FitInput, output: FitOutput },
	group: { input: GroupInput, output: GroupOutput },
	rotate: { input: RotateInput, output: RotateOutput },
	lineup: { input: LineupInput, output: LineupOutput },
	check: { input: Bundle, output: CheckOutput },
	coverage: { input: Bundle, output: CoverageOutput },
	draft: { input: DraftInput, output: DraftOutput },
	mix: { input: MixInput, output: MixOutput },
	plan: { input: SeasonPlanInput, output: SeasonPlanOutput },
	step: { input: StepInput, output: StepOutput },
	due: { input: DueInput, output: DueOutput }
} satisfies Record<string, { input: TSchema; output: TSchema }>;

/** Files of the open format, by the name of their schema. */
export const FILE_SHAPES: Readonly<Record<string, TSchema>> = {
	drill: Drill,
	practice: Practice,
	template: Template,
	bundle: Bundle,
	sport: Sport,
	team: ExportTeam,
	attendance: AttendanceFile,
	ladders: LaddersFile
};
