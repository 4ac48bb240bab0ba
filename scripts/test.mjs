/**
 * `npm test`: installs what is missing, builds, then two lanes side by side: the core and the checks of what is written; the API and what is
 * built. Last the browser. Ends with `N passed, N failed`; a step that fails says how to run it alone.
 */
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt, ensureCertutil, ensureChromium, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const chromium = ensureChromium();
ensureCertutil();
const bin = (p) => path.join(root, 'node_modules', p);
const thorough = process.env.TAMBO_THOROUGH !== undefined;
const results = path.join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
const node = process.execPath;
const began = performance.now();
let passed = 0;
let failed = 0;
/** What failed, by name: the last lines of a long output. */
const fell = [];

/** Runs a step and prints its output in one piece once it ends; one that fails says how to run it alone. */
function step(name, args, { count } = {}) {
  return new Promise((resolve) => {
    const started = performance.now();
    const child = spawn(node, args, {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, TAMBO_CHROMIUM: chromium, FORCE_COLOR: process.stdout.isTTY ? '1' : '0' },
    });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      const counted = count?.() ?? { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
      passed += counted.passed;
      failed += counted.failed;
      if (status !== 0 && counted.failed === 0) failed += 1;
      if (status !== 0 || counted.failed > 0)
        fell.push(...(counted.names?.length > 0 ? counted.names.map((n) => `${name}: ${n}`) : [name]));
      console.log(`\n== ${name}\n${said.trimEnd()}`);
      if (status !== 0)
        console.log(
          `\n${name} failed. To run it alone: node ${args.map((a) => (a.startsWith(root) ? path.relative(root, a) : a)).join(' ')}`,
        );
      console.log(`== ${name}: ${status === 0 ? 'good' : 'FAILED'} in ${((performance.now() - started) / 1000).toFixed(0)} s`);
      resolve();
    });
  });
}

const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);

/** Checks that run no code of ours, one after the other. */
async function checks() {
  await step('Types', [bin('ts7/bin/tsc'), '--noEmit', '-p', '.']);
  await step('Types of the core, without browser or Node', [bin('ts7/bin/tsc'), '--noEmit', '-p', 'core']);
  await step('Types of the server, without browser', [bin('ts7/bin/tsc'), '--noEmit', '-p', 'server']);
  await step('Import rule', [
    bin('dependency-cruiser/bin/dependency-cruise.mjs'),
    ...['--config', '.dependency-cruiser.cjs', '--output-type', 'err', 'core', 'server', 'web'],
  ]);
  await step('Lint', [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']);
}

const format = () => step('Format', [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']);

/** One project of unit tests; coverage is measured in thorough runs, since it makes each import slower. */
const units = (name, project, more = []) => {
  const file = path.join(results, `${project}.json`);
  return step(
    name,
    [bin('vitest/vitest.mjs'), 'run', '--project', project, '--reporter=dot', '--reporter=json', `--outputFile.json=${file}`, ...more],
    {
      count: () => {
        const r = readJson(file);
        const names = (r?.testResults ?? []).flatMap((f) => f.assertionResults).filter((a) => a.status === 'failed');
        return { passed: r?.numPassedTests ?? 0, failed: r?.numFailedTests ?? 0, names: names.map((a) => a.fullName) };
      },
    },
  );
};

// what is started, killed and looked at in tests is what ships
await ensureBuilt();
passed += 1;
await Promise.all([
  units('Unit tests of the core and the web', 'core', thorough ? ['--coverage'] : []).then(checks),
  units('API tests, and tests of what is built', 'server').then(format),
]);

/** So many browser tests may need a second try in one run; more are a fault. */
const mostUnsteady = 2;
const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];
/** Names of the browser tests that passed only the second time. */
let unsteady = [];

// by themselves: what is waited for in a browser must not wait for a linter
await step('Browser tests', [bin('@playwright/test/cli.js'), 'test'], {
  count: () => {
    const r = readJson(path.join(results, 'results.json'));
    const named = (status) =>
      (r?.suites ?? [])
        .flatMap(specsOf)
        .filter((s) => s.tests.some((t) => t.status === status))
        .map((s) => s.title);
    unsteady = named('flaky');
    const tooMany = unsteady.length > mostUnsteady;
    return {
      passed: (r?.stats?.expected ?? 0) + (tooMany ? 0 : unsteady.length),
      failed: (r?.stats?.unexpected ?? 0) + (tooMany ? unsteady.length : 0),
      names: [...named('unexpected'), ...(tooMany ? unsteady : [])],
    };
  },
});
for (const what of fell) console.log(`failed: ${what}`);
for (const title of unsteady) console.log(`passed only the second time, look at it: ${title}`);

console.log(`in ${((performance.now() - began) / 1000).toFixed(0)} s, installing apart`);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
