import Type, { type Static } from 'typebox';
import { closed, Id, Minutes, Text } from './fields';

/** How a person's coming to one practice differed, or will differ, from being there on time. */
export const Attendance = Type.Object(
	{
		practice: Id,
		person: Id,
		/** `here`: of a practice that was held, somebody who came though nobody planned with them. */
		state: Type.Enum(['here', 'late', 'absent']),
		/** Minutes after the start, of somebody who is late. */
		minutes: Type.Optional(Minutes),
		reason: Type.Optional(Text)
	},
	closed
);

/** A file of attendance: `attendance.json` of a team, in the demo and in an export. */
export const AttendanceFile = Type.Object(
	{ format: Type.Literal('fieldplan/attendance@1'), rows: Type.Array(Attendance) },
	closed
);

export type Attendance = Static<typeof Attendance>;
export type AttendanceFile = Static<typeof AttendanceFile>;
