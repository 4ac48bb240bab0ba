import type { Day } from '#core/contract';
import { dayOf, daysBetween, fridgeUntil, minDay } from '#core/kitchen';
import { statusOf, type PackState } from './state.ts';

/** When a pack should be eaten, and why then. */
export interface Due {
  day: Day;
  reason: 'fridge' | 'bestBy';
  daysLeft: number;
}

/** The day a pack is due: its fridge clock once thawed or opened, else its printed best-by day. */
export function dueOf(pack: PackState, today: Day, zone: string): Due {
  if (pack.fridgeSince) {
    const day = minDay(fridgeUntil(pack.life, dayOf(pack.fridgeSince, zone)), pack.limit);
    return { day, reason: 'fridge', daysLeft: daysBetween(today, day) };
  }
  return { day: pack.bestBy, reason: 'bestBy', daysLeft: daysBetween(today, pack.bestBy) };
}

/**
 * Packs with food in them, the soonest due first; the same day: the older first, then by code.
 * First expired, first out: the order never depends on the order they were read in.
 */
export function useFirst(packs: readonly PackState[], today: Day, zone: string): { pack: PackState; due: Due }[] {
  return packs
    .filter((p) => statusOf(p) !== 'empty')
    .map((pack) => ({ pack, due: dueOf(pack, today, zone) }))
    .sort(
      (a, b) =>
        a.due.day.localeCompare(b.due.day) ||
        a.pack.made.earliest.localeCompare(b.pack.made.earliest) ||
        a.pack.code.localeCompare(b.pack.code),
    );
}
