import { KIND } from './kind';
import { NEEDS } from './needs';
import { RUNNING } from './running';
import { SAID } from './said';
import type { FieldGroup } from './inputs';
import texts from '$texts/drafting';
import type { Message } from '$words';

export type { FieldGroup, Input } from './inputs';

/** Every field of a drill that a rung may replace, as it is typed in. */
export const FIELD_GROUPS: readonly FieldGroup[] = [...RUNNING, ...NEEDS, ...KIND, ...SAID];

/** The sections of the form with their groups. */
export const SECTIONS: readonly { name: Message; groups: readonly FieldGroup[] }[] = [
	{ name: texts.howItRuns, groups: RUNNING },
	{ name: texts.whatItNeeds, groups: NEEDS },
	{ name: texts.whatItIs, groups: KIND },
	{ name: texts.whatIsSaid, groups: SAID }
];

/** The group in which a field is typed in. */
export const groupOf = (field: string): FieldGroup | undefined =>
	FIELD_GROUPS.find(({ fields }) => fields.some((each) => each === field));
