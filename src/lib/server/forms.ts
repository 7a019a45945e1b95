/** The text that a field of a form holds, empty where there is none. What no text of the database can hold is left out. */
export const textField = (form: FormData, key: string): string =>
	String(form.get(key) ?? '').replaceAll('\0', '');

/** The texts of all fields of one name. */
export const textFields = (form: FormData, key: string): string[] =>
	form.getAll(key).map((value) => String(value).replaceAll('\0', ''));

/** The value that a field of a form holds as JSON; null where there is none or it is no JSON. */
export function jsonField(form: FormData, key: string): unknown {
	try {
		return JSON.parse(String(form.get(key) ?? ''));
	} catch {
		return null;
	}
}
