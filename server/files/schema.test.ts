import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';
import { exportJsonSchema } from '#core/contract';

it('the published schema of the export is that of the contract (scripts/schema.ts writes it)', () => {
  const published: unknown = JSON.parse(readFileSync(path.join(import.meta.dirname, '../../docs/export.schema.json'), 'utf8'));
  expect(published).toEqual(exportJsonSchema());
});
