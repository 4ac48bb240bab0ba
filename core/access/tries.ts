/** How fast anybody may guess at the household's passphrase. Five words of 256 are 40 bits: at this pace a guesser needs millions of years. */

const hourMs = 60 * 60_000;
/** Wrong tries in any hour, whoever makes them; a guesser with many addresses gets no more. */
const mostInAll = 20;
/** And those of one address. */
const mostEach = 10;
/** Typed wrongly so often before one has to wait. */
const freeTries = 3;
const firstWaitMs = 5000;
const longestWaitMs = 10 * 60_000;

/** One wrong try. */
export interface WrongTry {
  /** Milliseconds since 1970. */
  at: number;
  address: string;
}

/**
 * The wrong tries that still count.
 * @example countedTries([{ at: 0, address: '10.0.0.9' }], 3_600_001) // []
 */
export const countedTries = (tries: readonly WrongTry[], nowMs: number): WrongTry[] => tries.filter((t) => nowMs - t.at < hourMs);

/** Until when so many of the newest tries lie within the hour. */
const untilFewer = (tries: readonly WrongTry[], most: number): number => {
  const oldest = tries.toSorted((a, b) => b.at - a.at)[most - 1];
  return oldest ? oldest.at + hourMs : 0;
};

/**
 * How long an address has to wait before it may try again: longer after each wrong try, and never more than twenty tries an hour by all together.
 * @param tries wrong tries, in any order
 * @returns milliseconds; 0 when it may try now
 * @example waitMs([], '10.0.0.9', 0) // 0
 */
export function waitMs(tries: readonly WrongTry[], address: string, nowMs: number): number {
  const all = countedTries(tries, nowMs);
  const own = all.filter((t) => t.address === address);
  const last = Math.max(0, ...own.map((t) => t.at));
  const wait = own.length < freeTries ? 0 : Math.min(longestWaitMs, firstWaitMs * 2 ** (own.length - freeTries));
  const until = Math.max(own.length === 0 ? 0 : last + wait, untilFewer(own, mostEach), untilFewer(all, mostInAll));
  return Math.max(0, until - nowMs);
}
