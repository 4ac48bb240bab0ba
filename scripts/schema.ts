/** Writes docs/export.schema.json from the contract; a test holds the file to it. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { exportJsonSchema } from '#core/contract';

writeFileSync(path.resolve(import.meta.dirname, '../docs/export.schema.json'), `${JSON.stringify(exportJsonSchema(), null, 2)}\n`);
