import { Button, Group, Text } from '@mantine/core';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useMemo, type ReactNode } from 'react';
import type { TextActs } from './TextRow.tsx';

/* The same objects at every key: with others each row would be drawn again. */
const pulled = { activationConstraint: { distance: 6 } };
const byKeys = { coordinateGetter: sortableKeyboardCoordinates };

/** Texts that are put in order by pulling their handle. */
export function SortedTexts({ ids, onMove, children }: { ids: string[]; onMove: (id: string, by: number) => void; children: ReactNode }) {
  const sensors = useSensors(useSensor(PointerSensor, pulled), useSensor(KeyboardSensor, byKeys));
  // the same list while its order stands: at a new one every row is drawn again
  const order = ids.join(' ');
  const items = useMemo(() => order.split(' '), [order]);
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)) - ids.indexOf(String(active.id)));
      }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One more text at the end, and what the keys do. */
export function AnotherText({
  texts,
  acts,
  name,
  hint,
}: {
  texts: readonly { id: string; text: string }[];
  acts: TextActs;
  name: string;
  hint: string;
}) {
  const last = texts.at(-1);
  return (
    <Group mt={8}>
      <Button variant="outline" size="sm" onClick={() => last && acts.enter(last.id, last.text.length)}>
        {name}
      </Button>
      <Text c="dimmed" size="sm">
        {hint}
      </Text>
    </Group>
  );
}
