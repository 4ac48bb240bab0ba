import type { ScheduleModel } from './model.ts';

/** A job shop: jobs of operations in a row, each on a machine (from 0) for so many minutes. */
export interface JobShop {
  jobs: readonly (readonly (readonly [machine: number, minutes: number])[])[];
}

/**
 * A job shop as a session without hands: each operation waits on a machine of which there is one.
 * @throws RangeError in words when a job or an operation is not what it should be
 * @example jobShop({ jobs: [[[0, 3], [1, 2]], [[1, 4], [0, 1]]] })
 */
export function jobShop({ jobs }: JobShop): ScheduleModel {
  if (!Array.isArray(jobs)) throw new RangeError('There should be a list "jobs": for each job a list of [machine, minutes].');
  let machines = 0;
  jobs.forEach((job: unknown, j) => {
    if (!Array.isArray(job)) throw new RangeError(`Job ${j + 1} should be a list of [machine, minutes].`);
    job.forEach((op: unknown, k) => {
      const [machine, minutes] = Array.isArray(op) ? (op as unknown[]) : [];
      if (
        !Number.isInteger(machine) ||
        !Number.isInteger(minutes) ||
        (machine as number) < 0 ||
        (machine as number) > 9999 ||
        (minutes as number) < 0
      )
        throw new RangeError(`Job ${j + 1}, operation ${k + 1} should be [machine from 0, whole minutes].`);
      machines = Math.max(machines, (machine as number) + 1);
    });
  });
  const list: JobShop['jobs'] = jobs;
  return {
    activities: list.flatMap((job, j) =>
      job.map(([machine, minutes], k) => ({
        id: `${j}.${k}`,
        dish: `${j}`,
        hands: 0,
        wait: minutes,
        pools: [{ pool: `m${machine}`, units: 1, from: 0, to: minutes }],
      })),
    ),
    lags: list.flatMap((job, j) =>
      job.slice(1).map((_, k) => ({ a: `${j}.${k}`, b: `${j}.${k + 1}`, from: 'end' as const, to: 'start' as const, min: 0 })),
    ),
    spans: [],
    cooks: [],
    pools: Array.from({ length: machines }, (_, m) => ({ id: `m${m}`, capacity: 1 })),
    groups: [],
    ovens: [],
    fixed: [],
  };
}

/**
 * A job shop by E. Taillard's published generator: minutes from 1 to 99, machines in a shuffled order.
 * @param seeds for the minutes and for the machines, as published
 * @source E. Taillard, "Benchmarks for basic scheduling problems", European Journal of Operational Research 64 (1993)
 * @example taillard(15, 15, 840612802, 398197754) // its first instance, of which the best makespan is 1231
 */
export function taillard(jobs: number, machines: number, timeSeed: number, machineSeed: number): JobShop {
  const unif = (state: { seed: number }, low: number, high: number): number => {
    const k = Math.floor(state.seed / 127_773);
    state.seed = 16_807 * (state.seed % 127_773) - k * 2836;
    if (state.seed < 0) state.seed += 2_147_483_647;
    return low + Math.floor((state.seed / 2_147_483_647) * (high - low + 1));
  };
  const times = { seed: timeSeed };
  const minutes = Array.from({ length: jobs }, () => Array.from({ length: machines }, () => unif(times, 1, 99)));
  const rows = { seed: machineSeed };
  return {
    jobs: minutes.map((row) => {
      const order = Array.from({ length: machines }, (_, m) => m);
      for (let m = 0; m < machines; m += 1) {
        const other = unif(rows, m, machines - 1);
        [order[m], order[other]] = [order[other]!, order[m]!];
      }
      return row.map((min, k) => [order[k]!, min] as const);
    }),
  };
}
