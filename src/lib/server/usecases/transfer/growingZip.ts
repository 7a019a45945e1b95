import { constants, crc32, deflateRawSync } from 'node:zlib';
import { Zip, type ZipInputFile } from 'fflate';

/** Zip files carry times; always the same one makes the same data the same bytes. */
const SAME_TIME = new Date(1990, 0, 1);

/** Deflated, in the numbers of the zip format. */
const DEFLATED = 8;

/** A file of a zip that is packed piece by piece. */
class PackedFile implements ZipInputFile {
	readonly compression = DEFLATED;
	readonly mtime = SAME_TIME;
	size = 0;
	crc = 0;
	/** Set by the zip that it is added to. */
	ondata: ZipInputFile['ondata'];

	constructor(readonly filename: string) {}

	write(text: string, isLast: boolean): void {
		const bytes = Buffer.from(text);
		this.size += bytes.length;
		this.crc = crc32(bytes, this.crc);
		// A piece that is not the last ends at a whole byte, so that the next one follows on it.
		const finishFlush = isLast ? constants.Z_FINISH : constants.Z_SYNC_FLUSH;
		this.ondata?.(null, deflateRawSync(bytes, { level: 6, finishFlush }), isLast);
	}
}

/** A zip that is handed over while it grows: at no time is more of it in memory than one piece. */
export class GrowingZip {
	readonly #zip: Zip;

	constructor(take: (bytes: Uint8Array) => void) {
		this.#zip = new Zip((error, bytes) => {
			if (error) throw error;
			take(bytes);
		});
	}

	/** Begins a file; it is written piece by piece, the last one said to be so. */
	begin(name: string): (text: string, isLast: boolean) => void {
		const file = new PackedFile(name);
		this.#zip.add(file);
		return (text, isLast) => file.write(text, isLast);
	}

	/** Adds a whole file: a value as indented JSON. */
	add(name: string, value: unknown): void {
		this.begin(name)(`${JSON.stringify(value, null, '\t')}\n`, true);
	}

	end(): void {
		this.#zip.end();
	}
}
