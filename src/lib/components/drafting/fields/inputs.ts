import type { RungField } from '$core/drill';
import type { Message } from '$words';
import type { Drill, RungChange } from '$core/model/drill';
import type { SpotCalling } from '../lines';

/** How one thing of a drill is typed in: what stands there, and the change that other typing makes. */
interface Typed<Value> {
	label: Message;
	value: (drill: Drill, calling: SpotCalling) => Value;
	write: (drill: Drill, value: Value, calling: SpotCalling) => RungChange;
}
export interface NumberInput extends Typed<number | undefined> {
	kind: 'number';
	unit: string;
	least: number;
	most?: number;
}
export interface TextInput extends Typed<string> {
	kind: 'text' | 'lines';
	hint?: Message;
}
export interface ChoiceInput extends Typed<string> {
	kind: 'choice';
	options: readonly string[];
	/** What stands for no choice; there must be one where it is not said. */
	none?: Message;
}
export interface TickInput extends Typed<boolean> {
	kind: 'tick';
}
export type Input = NumberInput | TextInput | ChoiceInput | TickInput;

/** Fields of a drill that are changed together, and how. */
export interface FieldGroup {
	id: string;
	name: Message;
	fields: readonly RungField[];
	inputs: readonly Input[];
}

/** A number of a drill as an input: its unit, the least and the most of it. */
export const number = (
	label: Message,
	[unit, least, most]: [unit: string, least: number, most?: number],
	value: NumberInput['value'],
	write: NumberInput['write']
): NumberInput => ({ kind: 'number', label, unit, least, most, value, write });

/** An object that is there only where it says something. */
export function orNone<Value extends object>(value: Value): Value | undefined {
	const said = Object.entries(value).filter(([, each]) => each !== undefined && each !== false);
	return said.length > 0 ? (Object.fromEntries(said) as Value) : undefined;
}
