/** The value that a field of a form holds as JSON; null where there is none or it is no JSON. */
export function jsonField(form: FormData, key: string): unknown {
	try {
		return JSON.parse(String(form.get(key) ?? ''));
	} catch {
		return null;
	}
}
