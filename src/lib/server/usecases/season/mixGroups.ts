import { nanoid } from 'nanoid';
import Type, { type Static } from 'typebox';
import { fail, ok, sameValue, type Result } from '$core/base';
import { closed, Id, PartId } from '$core/model/fields';
import type { Practice } from '$core/model/practice';
import {
	mixingEdits,
	occasionsIn,
	type Mixable,
	type PlannedMeeting,
	type Wanted
} from '$core/mixing';
import { blocksOf, type Context, drillOf } from '$core/practice';
import { meetingsIn } from '$core/season';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { listPlanned, lockPractice, type StoredPractice } from '../../repositories/practices';
import { listAttended } from '../practices/attendance';
import { contextOf } from '../practices/play';
import { applyStored } from '../practices/saveEdits';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** Practices on which a drill must run in copies before its pairs are worth mixing. */
const FEWEST_PRACTICES = 2;

/** A practice to come with what it is built from. */
type InContext = StoredPractice & { context: Context };

const meetingsOf = (planned: readonly InContext[], wanted: Wanted): PlannedMeeting[] =>
	planned.flatMap(({ practice, revision, context }) =>
		occasionsIn([practice], wanted, context).map((meeting) => ({ ...meeting, revision }))
	);

/** The groups of all practices to come that can be mixed; nothing to choose where none has any. */
export async function loadMixable(db: Queryable, teamId: string, today: string): Promise<Mixable> {
	const planned: InContext[] = [];
	for (const stored of await listPlanned(db, teamId, today))
		planned.push({ ...stored, context: await contextOf(db, stored.practice) });
	const run = new Map(
		planned.flatMap(({ practice, context }) =>
			[...blocksOf(practice)].flatMap(({ block }): [string, string][] => {
				const drill = drillOf(context, block.drill);
				return drill ? [[drill.id, drill.name]] : [];
			})
		)
	);
	const ofDrills = [...run]
		.map(([drill, name]) => {
			const wanted = { of: 'drill', drill } as const;
			return { wanted, name, meetings: meetingsOf(planned, wanted) };
		})
		.filter(
			({ meetings }) => new Set(meetings.map((each) => each.practice)).size >= FEWEST_PRACTICES
		);
	const stations = { of: 'stations' } as const;
	const ofStations = { wanted: stations, name: null, meetings: meetingsOf(planned, stations) };
	const held = (await listAttended(db, teamId)).filter(({ isDone }) => isDone);
	return {
		choices: [ofStations, ...ofDrills].filter(({ meetings }) => meetings.length > 0),
		met: meetingsIn(held.map(({ practice }) => practice))
	};
}

const Sent = Type.Array(
	Type.Object(
		{
			practice: Id,
			revision: Type.Integer({ minimum: 1 }),
			periods: Type.Array(PartId, { minItems: 1, maxItems: 60 }),
			lane: Type.Optional(PartId),
			was: Type.Array(Type.Array(Id, { maxItems: 500 }), { maxItems: 200 }),
			groups: Type.Array(Type.Array(Id, { maxItems: 500 }), { maxItems: 200 })
		},
		closed
	),
	{ minItems: 1, maxItems: 500 }
);
type Sent = Static<typeof Sent>;

/** Whether the same players are in as many groups of the same sizes. */
const isMixOf = ({ was, groups }: Sent[number]): boolean =>
	sameValue(
		was.map(({ length }) => length),
		groups.map(({ length }) => length)
	) && sameValue(was.flat().sort(), groups.flat().sort());

/** Whether the groups that were sent are those that a practice has in these periods. */
function isOf({ periods, lane, was }: Sent[number], practice: Practice, context: Context): boolean {
	const wanted = wantedOf(practice, lane);
	return (
		wanted !== null &&
		occasionsIn([practice], wanted, context).some(
			(occasion) =>
				occasion.lane === lane &&
				sameValue(occasion.periods, periods) &&
				sameValue(occasion.groups, was)
		)
	);
}

/** What a lane of a practice is mixed as; stations where no lane is named. */
function wantedOf(practice: Practice, lane: string | undefined): Wanted | null {
	if (lane === undefined) return { of: 'stations' };
	const found = [...blocksOf(practice)].find((each) => each.lane.id === lane);
	const drill = found?.block.drill?.id;
	return drill === undefined ? null : { of: 'drill', drill };
}

/**
 * Stores mixed groups of practices to come, all of them or none: one edit a practice, as if it had been made on
 * its board. Refused where a practice has changed since its groups were read.
 */
export async function saveMixed(
	db: Db,
	{ teamId, sent, submission }: { teamId: string; sent: unknown } & Submission
): Promise<Result<number, Misfit>> {
	const shape = readShape(Sent, sent);
	if (!shape.ok) return shape;
	const wrong = shape.value.findIndex((each) => !isMixOf(each));
	if (wrong >= 0) return fail({ path: [wrong, 'groups'], message: say(texts.notTheSamePlayers) });
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<number, Misfit>> => {
		const ids = [...new Set(shape.value.map(({ practice }) => practice))];
		for (const id of ids) {
			const own = shape.value.filter(({ practice }) => practice === id);
			const stored = await lockPractice(tx, teamId, id);
			if (!stored) return fail({ path: [], message: say(texts.noPractice) });
			if (own.some(({ revision }) => revision !== stored.revision))
				return fail({ path: [], message: say(texts.groupsChanged, { day: stored.practice.date }) });
			const context = await contextOf(tx, stored.practice);
			if (!own.every((each) => isOf(each, stored.practice, context)))
				return fail({ path: [], message: say(texts.notTheSamePlayers) });
			const edits = mixingEdits(stored.practice, own);
			if (edits.length > 0)
				await applyStored(tx, stored, { id: nanoid(), edit: { type: 'all', edits } });
		}
		return ok(ids.length);
	});
}
