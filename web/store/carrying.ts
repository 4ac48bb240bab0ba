import type { Active, Announcements, Over } from '@dnd-kit/core';
import type { Place } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { placeName } from '../ui/packWords.ts';
import type { Spot as Spotted } from '../ui/SpotSelect.tsx';

export type { Spotted };

/** What is carried: one pack or a whole pile. */
export interface Carried {
  name: string;
  packs: readonly PackBrief[];
}

export const carriedOf = (event: { active: Active }): Carried | undefined => event.active.data.current as Carried | undefined;
export const spotUnder = (event: { over: Over | null }): Spotted | undefined => event.over?.data.current as Spotted | undefined;

/** What a screen reader is told while something is carried. */
export function sayCarrying(places: readonly Place[]): { announcements: Announcements; screenReaderInstructions: { draggable: string } } {
  const what = (event: { active: Active }): string => {
    const c = carriedOf(event);
    return c ? `${countOf(c.packs.length, 'pack')} of ${c.name}` : 'It';
  };
  const where = (event: { over: Over | null }): string => {
    const spot = spotUnder(event);
    return spot ? placeName(places, spot) : 'no shelf';
  };
  return {
    announcements: {
      onDragStart: (e) => `${what(e)} lifted. Arrows go from shelf to shelf, Space puts it down, Escape leaves it where it was.`,
      onDragOver: (e) => `Over ${where(e)}`,
      onDragEnd: (e) => (e.over ? `${what(e)} put down in ${where(e)}` : `${what(e)} stays where it was`),
      onDragCancel: (e) => `${what(e)} stays where it was`,
    },
    screenReaderInstructions: { draggable: 'Space lifts it, to carry it to another shelf; Enter opens it.' },
  };
}
