import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir, totalmem } from 'node:os';
import path from 'node:path';
import { ne } from 'drizzle-orm';
import { a4Grid21 } from '#core/pack';
import { homeEnv } from '../../e2e/trusting.ts';
import { firstCount } from '../../e2e/samples/firstCount.ts';
import { openDb, schema } from '../../server/db/index.ts';
import { packsWhere, rebuild } from '../../server/events/index.ts';
import { labelsPdf } from '../../server/pack/pdf.ts';
import { drawLabels } from '../../server/pack/routes.ts';
import { worldOf } from '../../server/session/index.ts';
import { startServer } from '../server.mjs';
import { backupTenYears } from './backup.ts';
import { inBrowser } from './browser.ts';
import { correctionShows, rebuildCorrected } from './corrections.ts';
import { figures, five, note, p95, timed } from './figures.ts';
import { byHand } from './hand.ts';
import { overTheDoor } from './home.ts';
import { fillHousehold } from './household.ts';
import { largeStores } from './large.ts';
import { longLibrary } from './library.ts';
import { logUnderLoad } from './load.ts';
import { scaleAlone, typeOnThePage } from './scaling.ts';
import { readCodes } from './scan.ts';
import { scheduleAlone } from './schedule.ts';
import { readAlone, readMethods, searchAlone, writeOnThePage } from './writing.ts';

const root = path.resolve(import.meta.dirname, '../..');
const migrations = path.join(root, 'server/db/migrations');
const now = '2026-11-24T16:00:00.000Z';
const today = '2026-11-24';
const env = { TAMBO_DEMO: '1', TAMBO_NOW: now, ...homeEnv };
const folder = mkdtempSync(path.join(tmpdir(), 'tambo-bench-'));

// first start makes the demo; the figure is that of later starts
await (await startServer({ env, folder })).stop();
note(
  'Server ready, second start: spawn to first 200 from health',
  await five(async () => {
    const s = await startServer({ env, folder });
    await s.stop();
    return s.readyMs;
  }),
  1000,
  'ms',
);

await scaleAlone();
await readAlone();
await readMethods();
await searchAlone();
scheduleAlone();
await readCodes();

const open = openDb(path.join(folder, 'demo.sqlite'), migrations);
const made = fillHousehold(open, { packs: 10_000, inStore: 360, events: 50_000, today });
const inStore = await open.db.$count(schema.packState, ne(schema.packState.status, 'empty'));
console.log(`${made.packs} packs ever, ${inStore} in store, ${made.events} events`);
note(`Rebuild of the stock from ${made.events.toLocaleString('en-GB')} events`, await five(() => timed(() => rebuild(open))), 1000, 'ms');
await rebuildCorrected(open, now);
const packs = packsWhere(open.db, undefined).slice(0, 300);
note(
  'PDF of 300 labels',
  await five(() => timed(() => labelsPdf(drawLabels(worldOf(open.db), packs), a4Grid21, 1, new Date(now)))),
  2000,
  'ms',
);
open.close();

const server = await startServer({ env, folder });
const ask = async (): Promise<number> => timed(async () => (await fetch(`${server.address}/api/today`)).arrayBuffer());
for (let i = 0; i < 20; i += 1) await ask();
const answers: number[] = [];
for (let i = 0; i < 250; i += 1) answers.push(await ask());
note("Today's API, p95 of 250 requests, 10,000 packs ever, about 400 in store, 50,000 events", p95(answers), 50, 'ms', 1);
await correctionShows(server.address);
await inBrowser(server);
await typeOnThePage(server);
await writeOnThePage(server);
await byHand(server);
await logUnderLoad(server.address);
await overTheDoor(server);
await server.stop();
rmSync(folder, { recursive: true, force: true });

await longLibrary(env);
await largeStores({ migrations, env, today });

const large = mkdtempSync(path.join(tmpdir(), 'tambo-bench-'));
await backupTenYears(large, migrations, env, today);
rmSync(large, { recursive: true, force: true });

// what these lines become is checked field by field in e2e/firstEvening.spec.ts
note(
  `First count of ${firstCount.reduce((s, l) => s + l.packs, 0)} packs in ${firstCount.length} lines`,
  firstCount.reduce((s, l) => s + l.typed.length + 1, 0),
  400,
  'key presses',
);

const total = readdirSync(path.join(root, 'dist/web/assets')).filter((f) => f.endsWith('.js')).length;
const table = `# Figures

Measured by \`npm run bench\` on ${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.versions.node}.
Medians are of 5 runs after one warm-up; p95 is over the requests named. The packs and events beside the demo's own are inserted by the bench's generator
(\`scripts/bench/household.ts\`); the page is the built app (${total} script files in all, most of them brought in when their page is opened).
Today's API without load answers from what was worked out since the last entry; under load every answer is worked out anew.
A meal that went as planned is logged in one tap from Today in the evening, in two before (\`e2e/stations.spec.ts\`).

| figure | measured | target | met |
| --- | --- | --- | --- |
${figures.map((f) => `| ${f.name} | ${f.measured} | ${f.target} | ${f.met ? 'yes' : 'no'} |`).join('\n')}
`;
writeFileSync(path.join(root, 'docs/bench.md'), table);
process.exitCode = figures.every((f) => f.met) ? 0 : 1;
