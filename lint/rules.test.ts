import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const root = path.resolve(import.meta.dirname, '..');

describe('the import rule', () => {
  it('catches a wrong import in each of its ways', () => {
    const { stdout, status } = spawnSync(
      process.execPath,
      [
        path.join(root, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs'),
        '--config',
        'cruise.cjs',
        '--output-type',
        'err',
        'core',
        'server',
        'web',
      ],
      { cwd: path.join(root, 'lint/fixtures'), encoding: 'utf8' },
    );
    const found = [...stdout.matchAll(/error ([a-z-]+):/g)].map((m) => m[1]);
    expect(new Set(found)).toEqual(new Set(['core-order-kitchen', 'core-no-node', 'no-circles', 'web-not-server']));
    expect(status).not.toBe(0);
  });
});

describe('the clock rule', () => {
  it('lets only the two clocks read the time', async () => {
    const eslint = new ESLint({ cwd: root });
    const code = readFileSync(path.join(root, 'lint/fixtures/clock.txt'), 'utf8');
    const check = async (filePath: string): Promise<number> =>
      (await eslint.lintText(code, { filePath: path.join(root, filePath) }))[0]!.messages.filter((m) => m.ruleId === 'no-restricted-syntax')
        .length;
    expect(await check('core/eat/runway.ts')).toBe(2);
    expect(await check('web/cook/Score.tsx')).toBe(2);
    expect(await check('server/clock/index.ts')).toBe(0);
    expect(await check('web/app/clock.ts')).toBe(0);
  });
});
