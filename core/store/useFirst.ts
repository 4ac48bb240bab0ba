import { dueOf, type Due, type Moment } from './cold.ts';
import { statusOf, type PackState } from './state.ts';

/** What nobody can date comes first. */
const dayKey = (due: Due): string => due.day ?? '';
const madeKey = (pack: PackState): string => pack.made?.earliest ?? pack.foundOn ?? '';

/**
 * Packs with food in them, the soonest due first, those of unknown age before all; the same day: the older first, then by code.
 * First expired, first out: the order never depends on the order they were read in.
 * @example useFirst(packs, at)[0]?.due.reason // why this one first
 */
export function useFirst(packs: readonly PackState[], at: Moment): { pack: PackState; due: Due }[] {
  return packs
    .filter((p) => statusOf(p) !== 'empty')
    .map((pack) => ({ pack, due: dueOf(pack, at) }))
    .sort(
      (a, b) =>
        dayKey(a.due).localeCompare(dayKey(b.due)) ||
        madeKey(a.pack).localeCompare(madeKey(b.pack)) ||
        a.pack.code.localeCompare(b.pack.code),
    );
}
