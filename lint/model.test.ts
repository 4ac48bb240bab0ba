import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';

const root = path.resolve(import.meta.dirname, '..');

it('the model on one page names only what is there', () => {
  const text = readFileSync(path.join(root, 'docs/model.md'), 'utf8');
  const named = [...text.matchAll(/`((?:core|server|web)(?:\/[\w.-]+)*)`/g)].map((m) => m[1] ?? '');
  expect(named.length).toBeGreaterThan(30);
  expect(named.filter((p) => !existsSync(path.join(root, p)))).toEqual([]);
});
