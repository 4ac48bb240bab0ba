/** Blocked minutes as bits, 32 to a word. All functions take where the row begins in the array. */

/** Words a row of so many minutes takes. */
export const wordsFor = (minutes: number): number => (minutes + 31) >>> 5;

const full = -1;

/** Sets (`on`) or clears the minutes from `a` up to `b`. */
export function paint(bits: Int32Array, row: number, a: number, b: number, on: boolean): void {
  if (b <= a) return;
  const first = row + (a >>> 5);
  const last = row + ((b - 1) >>> 5);
  const head = full << (a & 31);
  const foot = full >>> (31 - ((b - 1) & 31));
  for (let i = first; i <= last; i += 1) {
    let mask = full;
    if (i === first) mask &= head;
    if (i === last) mask &= foot;
    if (on) bits[i]! |= mask;
    else bits[i]! &= ~mask;
  }
}

/** The last blocked minute from `a` up to `b`; -1 where there is none. */
export function lastBlocked(bits: Int32Array, row: number, a: number, b: number): number {
  if (b <= a) return -1;
  const first = a >>> 5;
  let i = (b - 1) >>> 5;
  let word = bits[row + i]! & (full >>> (31 - ((b - 1) & 31)));
  for (;;) {
    if (i === first) word &= full << (a & 31);
    if (word !== 0) return (i << 5) + 31 - Math.clz32(word);
    if (i === first) return -1;
    i -= 1;
    word = bits[row + i]!;
  }
}

/** The first minute from `t` on at which `length` minutes are free in a row; `horizon` when they are not before it. */
export function nextFree(bits: Int32Array, row: number, t: number, length: number, horizon: number): number {
  let at = t;
  while (at + length <= horizon) {
    const blocked = lastBlocked(bits, row, at, at + length);
    if (blocked < 0) return at;
    at = blocked + 1;
  }
  return horizon;
}
