import type { Day } from '#core/contract';
import { statusOf, type PackState } from '#core/store';

/**
 * Packs put on a meal whose day has passed without an answer: probably eaten (DECISIONS 28).
 * Shown apart, neither in stock nor in history, counted by the runway, settled by one tap.
 */
export function probablyEaten(packs: readonly PackState[], today: Day): { stock: PackState[]; probable: PackState[] } {
  const passed = (p: PackState): boolean => p.planned !== undefined && p.planned.day < today && statusOf(p) !== 'empty';
  return { stock: packs.filter((p) => !passed(p)), probable: packs.filter(passed) };
}
