import { readFileSync } from 'node:fs';
import { checkPlan, jobShop, scheduleSearch, type JobShop } from '../../core/cook/schedule/index.ts';
import { solve } from '../../core/solve/index.ts';

const [file, seconds = '10', seed = '1'] = process.argv.slice(2);

const fail = (why: string): never => {
  console.error(`${why}\nUse: npm run solve -- FILE SECONDS SEED, with {"jobs": [[[machine from 0, minutes], ...], ...]} in the file.`);
  process.exit(2);
};

if (!file) fail('Which file?');
if (!(Number(seconds) > 0) || !Number.isInteger(Number(seed))) fail('Seconds should be over 0 and the seed a whole number.');
let model;
try {
  model = jobShop(JSON.parse(readFileSync(file!, 'utf8')) as JobShop);
} catch (error) {
  model = fail(`${file!} cannot be read as a job shop: ${error instanceof Error ? error.message : String(error)}`);
}
const began = performance.now();
const found = solve(
  scheduleSearch,
  { model },
  { seed: Number(seed), clock: () => performance.now(), deadlineMs: began + Number(seconds) * 1000 },
);
const ms = Math.round(performance.now() - began);
if (!found.ok) fail(`No schedule: ${JSON.stringify(found.why)}`);
else {
  const faults = checkPlan(model, found.answer);
  if (faults.length > 0) fail(`The schedule breaks a law: ${JSON.stringify(faults[0])}`);
  console.log(`makespan ${found.cost}\nbound ${found.bound}\nmilliseconds ${ms}`);
}
