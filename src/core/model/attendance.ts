import Type, { type Static } from 'typebox';
import { closed, Id, Minutes, Text, says } from './fields';

/** How a person's coming to one practice differed, or will differ, from being there on time. */
export const Attendance = Type.Object(
	{
		practice: says(Id, 'Id of the practice'),
		person: says(Id, 'Id of the player or the adult'),
		state: says(
			Type.Enum(['here', 'late', 'absent']),
			'How they came; `here`, of a practice that was held: somebody who came though nobody planned with them'
		),
		minutes: Type.Optional(says(Minutes, 'Minutes after the start, of somebody who is late')),
		reason: Type.Optional(says(Text, 'Why they were late or absent'))
	},
	closed
);

/** A file of attendance: `attendance.json` of a team, in the demo and in an export. */
export const AttendanceFile = Type.Object(
	{
		format: Type.Literal('fieldplan/attendance@1'),
		rows: says(Type.Array(Attendance), 'Who came to which practice; who is not in it came on time')
	},
	closed
);

export type Attendance = Static<typeof Attendance>;
export type AttendanceFile = Static<typeof AttendanceFile>;
