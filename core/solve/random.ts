/** A number from 0 up to but not 1; the same seed gives the same row of them. */
export type Random = () => number;

/**
 * A small generator of numbers by chance, for solvers and generated kitchens: 32 bits of state, plain integer arithmetic, the same on every machine.
 * @param seed any whole number
 * @source "mulberry32", T. Ettinger, public domain
 * @example const random = randomFrom(7); Math.floor(random() * 6) // a die
 */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}
