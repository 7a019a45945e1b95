import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { formatFiles } from '../src/cli/formats';

// Writes docs/formats anew: schemas, examples and their page.
const folder = 'docs/formats';
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
for (const [name, text] of formatFiles()) writeFileSync(join(folder, name), text);
