import type { Db } from '../../src/lib/server/database';
import { exportAll } from '../../src/lib/server/usecases/transfer/exportAll';

/** Everything that is stored, as one zip. */
export async function exported(db: Db): Promise<Uint8Array> {
	const pieces: Uint8Array[] = [];
	await exportAll(db, (bytes) => pieces.push(bytes.slice()));
	return new Uint8Array(Buffer.concat(pieces));
}
