import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { Linter } from 'eslint';
import tseslint from 'typescript-eslint';
import { describe, expect, it } from 'vitest';

const root = path.resolve(import.meta.dirname, '..');
const { default: config } = (await import(path.join(root, 'eslint.config.js'))) as { default: Linter.Config[] };

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
    expect(new Set(found)).toEqual(
      new Set([
        'core-order-kitchen',
        'core-no-node',
        'no-circles',
        'web-not-server',
        'web-pages-by-the-router',
        'web-below-the-stations',
        'web-sync-lowest',
      ]),
    );
    expect(status).not.toBe(0);
  });
});

/** The lint configuration with one rule alone: no types are read, so that a file is checked in a moment. */
function only(rule: string): Linter.Config[] {
  return config
    .filter((c) => c.rules?.[rule] !== undefined)
    .map(({ files, ignores, rules }) => ({
      ...(files && { files }),
      ...(ignores && { ignores }),
      languageOptions: { parser: tseslint.parser as Linter.Parser },
      rules: { [rule]: rules?.[rule] } as Linter.RulesRecord,
    }));
}

/** How often a file of this text would be found fault with at a place of the house. */
const findings = (fixture: string): ((file: string) => number) => {
  const linter = new Linter({ configType: 'flat', cwd: root });
  const code = readFileSync(path.join(root, `lint/fixtures/${fixture}.txt`), 'utf8');
  return (file) => linter.verify(code, only('no-restricted-syntax'), { filename: path.join(root, file) }).length;
};

describe('the clock rule', () => {
  it('lets only the two clocks read the time', () => {
    const check = findings('clock');
    expect(check('core/eat/runway.ts')).toBe(2);
    expect(check('web/cook/Score.tsx')).toBe(2);
    expect(check('server/clock/index.ts')).toBe(0);
    expect(check('web/sync/clock.ts')).toBe(0);
  });
});

describe('the entry rule', () => {
  it('lets only commands make an entry: no page does, nor the demo', () => {
    const check = findings('entry');
    expect(check('web/eat/LogMeal.tsx')).toBe(1);
    expect(check('server/demo/eatDay.ts')).toBe(1);
    expect(check('core/commands/packs.ts')).toBe(0);
    expect(check('web/sync/device.ts')).toBe(0);
  });
});

describe('the cache rule', () => {
  it('lets the core remember nothing between two questions', () => {
    const check = findings('cache');
    expect(check('core/recipe/scale/weigh.ts')).toBe(2);
    expect(check('core/kitchen/memo.ts')).toBe(0);
    expect(check('server/session/world.ts')).toBe(0);
  });
});

describe('the rule of raw controls', () => {
  it('lets only drawings have a control that is not Mantine’s', () => {
    const check = findings('raw');
    expect(check('web/plan/PlanEditor.tsx')).toBe(3);
    expect(check('web/draw/RunwayCurve.tsx')).toBe(0);
  });
});
