import type { TamboEvent } from '#core/contract';
import type { SaidOfTable } from '#core/kitchen';
import { byOrder, effective } from '#core/store';

const ofTable = (e: TamboEvent): e is SaidOfTable => e.type === 'invited' || e.type === 'atHome';

/**
 * What was said of who is at single meals, in order, without what was taken back.
 * @example saidOfTable(tableEvents) // guests on Saturday, Marit away on Friday
 */
export const saidOfTable = (events: readonly TamboEvent[]): SaidOfTable[] => effective(events).filter(ofTable);

/**
 * The newest word on who is at the table, be it the taking back of one; undefined when nothing was ever said.
 * @example newestWord(tableEvents) // what a page has seen of who is at the table
 */
export function newestWord(events: readonly TamboEvent[]): string | undefined {
  const words = new Set(events.filter(ofTable).map((e) => e.id));
  // the taking back of a taking back speaks of the same word
  for (let before = -1; before < words.size;) {
    before = words.size;
    for (const e of events) if (e.type === 'undone' && words.has(e.data.eventId)) words.add(e.id);
  }
  return events
    .filter((e) => words.has(e.id))
    .toSorted(byOrder)
    .at(-1)?.id;
}

/** A meal that came from nowhere in the store. */
export interface AteOtherwise {
  eventId: string;
  day: string;
  meal: string;
  how: 'fresh' | 'out' | 'none';
}

/**
 * Meals that were cooked fresh, eaten out or left out, the newest word on each.
 * @example ateOtherwise(tableEvents).some((m) => m.day === '2026-11-20') // nobody asks about that evening any more
 */
export function ateOtherwise(events: readonly TamboEvent[]): AteOtherwise[] {
  const meals = new Map<string, AteOtherwise>();
  for (const e of effective(events)) if (e.type === 'ateOtherwise') meals.set(`${e.data.day} ${e.data.meal}`, { eventId: e.id, ...e.data });
  return [...meals.values()].toSorted((a, b) => b.day.localeCompare(a.day));
}
