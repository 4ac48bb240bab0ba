/**
 * Chance that a gamma-Poisson count reaches at least `n`.
 * The count is Poisson(k * exposure) with k ~ Gamma(shape, rate): negative binomial with r = shape, p = rate / (rate + exposure).
 * Summed in logarithms from nothing up, so that long horizons do not underflow.
 * @example reaches(8, 14, 14, 7) // how likely eight dinners or more are eaten in a week
 */
export function reaches(n: number, shape: number, rate: number, exposure: number): number {
  if (n <= 0) return 1;
  if (exposure <= 0) return 0;
  const logP = Math.log(rate / (rate + exposure));
  const logQ = Math.log(exposure / (rate + exposure));
  let logTerm = shape * logP;
  let below = Math.exp(logTerm);
  for (let i = 0; i < n - 1; i += 1) {
    logTerm += Math.log((i + shape) / (i + 1)) + logQ;
    below += Math.exp(logTerm);
  }
  return Math.min(1, Math.max(0, 1 - below));
}

/**
 * The smallest counts with at least these chances of not being passed, smallest chance first: one walk for all of them.
 * @param qs chances between 0 and 1, ascending
 */
export function quantiles(qs: readonly number[], shape: number, rate: number, exposure: number): number[] {
  if (exposure <= 0) return qs.map(() => 0);
  const logP = Math.log(rate / (rate + exposure));
  const logQ = Math.log(exposure / (rate + exposure));
  let logTerm = shape * logP;
  let sum = Math.exp(logTerm);
  let n = 0;
  return qs.map((q) => {
    while (sum < q && n < 100_000) {
      logTerm += Math.log((n + shape) / (n + 1)) + logQ;
      sum += Math.exp(logTerm);
      n += 1;
    }
    return n;
  });
}

/**
 * The q-quantile of the count.
 * @example quantile(0.5, 14, 14, 7) // as many dinners as are eaten in a week, as likely more as fewer
 */
export const quantile = (q: number, shape: number, rate: number, exposure: number): number => quantiles([q], shape, rate, exposure)[0] ?? 0;
