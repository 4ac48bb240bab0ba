import {
  KeyboardCode,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
  type SensorDescriptor,
  type SensorOptions,
} from '@dnd-kit/core';
import type { Place } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { placeName } from '../ui/packWords.ts';
import type { Spot } from '../ui/SpotSelect.tsx';

/** What is carried: one pack or a whole pile. */
export interface Carried {
  name: string;
  packs: readonly PackBrief[];
}

/** Points that a finger may shake before a tap is a pull. */
const pullFrom = 8;

const next = new Set<string>([KeyboardCode.Right, KeyboardCode.Down]);
const before = new Set<string>([KeyboardCode.Left, KeyboardCode.Up]);

/** Arrows go from shelf to shelf, not by points. */
const byShelf: KeyboardCoordinateGetter = (event, { context: { droppableRects, over, collisionRect } }) => {
  const step = next.has(event.code) ? 1 : before.has(event.code) ? -1 : 0;
  if (step === 0 || !collisionRect) return undefined;
  event.preventDefault();
  const shelves = [...droppableRects];
  const at = shelves.findIndex(([id]) => id === over?.id);
  const to = shelves[(at + step + shelves.length) % shelves.length]?.[1];
  return to && { x: to.left + to.width / 2 - collisionRect.width / 2, y: to.top + to.height / 2 - collisionRect.height / 2 };
};

export const carriedOf = (event: { active: DragEndEvent['active'] }): Carried | undefined =>
  event.active.data.current as Carried | undefined;
export const spotUnder = (event: { over: DragEndEvent['over'] }): Spot | undefined => event.over?.data.current as Spot | undefined;

/** Pulled with a pointer, or lifted by Space, moved by arrows and put down by Space or Enter; Enter alone still opens a pile. */
export function useCarry(): SensorDescriptor<SensorOptions>[] {
  return useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: pullFrom } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: byShelf,
      keyboardCodes: { start: [KeyboardCode.Space], cancel: [KeyboardCode.Esc], end: [KeyboardCode.Space, KeyboardCode.Enter] },
    }),
  );
}

/** What a screen reader is told while something is carried. */
export function sayCarrying(places: readonly Place[]): { announcements: Announcements; screenReaderInstructions: { draggable: string } } {
  const what = (event: { active: DragEndEvent['active'] }): string => {
    const c = carriedOf(event);
    return c ? `${countOf(c.packs.length, 'pack')} of ${c.name}` : 'It';
  };
  const where = (event: { over: DragEndEvent['over'] }): string => {
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
