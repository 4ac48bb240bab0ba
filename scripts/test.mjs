/** `npm test`: installs what is missing, then lint, import rule, types, unit and API tests, build, browser tests; ends with `N passed, N failed`. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const chromium = ensureChromium();
const bin = (p) => path.join(root, 'node_modules', p);
const results = path.join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
let passed = 0;
let failed = 0;

/** Runs a step; one that fails says how to run it alone. */
function step(name, command, args, count) {
  console.log(`\n== ${name}`);
  const started = performance.now();
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, TAMBO_CHROMIUM: chromium } });
  const counted = count?.();
  if (counted) {
    passed += counted.passed;
    failed += counted.failed;
    if (status !== 0 && counted.failed === 0) failed += 1;
  } else if (status === 0) passed += 1;
  else failed += 1;
  if (status !== 0)
    console.log(
      `\n${name} failed. To run it alone: ${['node', ...args.map((a) => (path.relative(root, a) && a.startsWith(root) ? path.relative(root, a) : a))].join(' ')}`,
    );
  console.log(`== ${name}: ${status === 0 ? 'good' : 'FAILED'} in ${((performance.now() - started) / 1000).toFixed(0)} s`);
}

const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);
const unitFile = path.join(results, 'unit.json');
const node = process.execPath;

step('Format', node, [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']);
step('Lint', node, [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']);
step('Import rule', node, [
  bin('dependency-cruiser/bin/dependency-cruise.mjs'),
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
  'core',
  'server',
  'web',
]);
step('Types', node, [bin('ts7/bin/tsc'), '--noEmit', '-p', '.']);
step(
  'Unit and API tests',
  node,
  [bin('vitest/vitest.mjs'), 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${unitFile}`],
  () => {
    const r = readJson(unitFile);
    return { passed: r?.numPassedTests ?? 0, failed: r?.numFailedTests ?? 0 };
  },
);
console.log('\n== Build');
await ensureBuilt();
passed += 1;
step('Browser tests', node, [bin('@playwright/test/cli.js'), 'test'], () => {
  const s = readJson(path.join(results, 'results.json'))?.stats;
  return { passed: s?.expected ?? 0, failed: (s?.unexpected ?? 0) + (s?.flaky ?? 0) };
});

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
