/** A reason not to start that a person can mend: shown as it is, without a stack trace. */
export class StartRefusal extends Error {
	override name = 'StartRefusal';
}
