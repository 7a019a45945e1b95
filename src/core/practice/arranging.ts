import type { Period } from '../model/practice';
import type { EditOf } from './edit';

type Arrange = EditOf<'arrange-period'>;

/** The edit that gives a period another inside: what `change` names, the rest as it is. */
export const arranging = (
	period: Period,
	change: Partial<Omit<Arrange, 'type' | 'period'>> = {}
): Arrange => ({
	type: 'arrange-period',
	period: period.id,
	kind: period.kind,
	lanes: period.lanes,
	groups: period.groups ?? null,
	slots: period.slots ?? null,
	moveSeconds: period.moveSeconds ?? null,
	...change
});
