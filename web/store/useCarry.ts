import {
  KeyboardCode,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type KeyboardCoordinateGetter,
  type SensorDescriptor,
  type SensorOptions,
} from '@dnd-kit/core';

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

/** Pulled with a pointer, or lifted by Space, moved by arrows and put down by Space or Enter; Enter alone still opens a pile. */
export function useCarry(): SensorDescriptor<SensorOptions>[] {
  return useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: pullFrom } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: byShelf,
      // a slow glide that is cut short would leave it over another shelf than the one aimed at
      scrollBehavior: 'auto',
      keyboardCodes: { start: [KeyboardCode.Space], cancel: [KeyboardCode.Esc], end: [KeyboardCode.Space, KeyboardCode.Enter] },
    }),
  );
}
