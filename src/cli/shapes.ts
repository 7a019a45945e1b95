import Type, { type TSchema } from 'typebox';
import { Finding } from '../core/checks';
import { FitInput, FitOutput } from '../core/clock';
import { SimulateInput, SimulateOutput } from '../core/drill';
import { GroupInput, GroupOutput } from '../core/grouping';
import { AttendanceFile } from '../core/model/attendance';
import { Bundle } from '../core/model/bundle';
import { Drill } from '../core/model/drill';
import { ExportTeam } from '../core/model/exportFiles';
import { closed } from '../core/model/fields';
import { Practice, Template } from '../core/model/practice';
import { Sport } from '../core/model/sport';
import { LineupInput, LineupOutput, RotateInput, RotateOutput } from '../core/rotation';
import { SizeInput, SizeOutput } from '../core/sizing';

/** What `check` gives: findings with their words, and figures of the whole practice. */
export const CheckOutput = Type.Object(
	{
		findings: Type.Array(Type.Object({ ...Finding.properties, message: Type.String() }, closed)),
		figures: Type.Object(
			{
				busyShare: Type.Number(),
				turns: Type.Object({ min: Type.Number(), mean: Type.Number(), max: Type.Number() }, closed),
				seconds: Type.Number()
			},
			closed
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
	check: { input: Bundle, output: CheckOutput }
} satisfies Record<string, { input: TSchema; output: TSchema }>;

/** Files of the open format, by the name of their schema. */
export const FILE_SHAPES: Readonly<Record<string, TSchema>> = {
	drill: Drill,
	practice: Practice,
	template: Template,
	bundle: Bundle,
	sport: Sport,
	team: ExportTeam,
	attendance: AttendanceFile
};
