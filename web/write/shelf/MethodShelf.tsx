import { Button, Card, Group, Text, Title } from '@mantine/core';
import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { memo, useState } from 'react';
import { sayMinutes } from '#core/kitchen';
import { inSession } from '#core/recipe';
import { Either } from '../../ui/Either.tsx';
import { MethodTime } from '../../draw/MethodTime.tsx';
import { FoodChip, Pot } from './Pot.tsx';
import { StepPanel } from './StepPanel.tsx';
import type { Method } from './useMethod.ts';
import c from './Shelf.module.css';

const pulled = { activationConstraint: { distance: 6 } };

/** The shelf of pots: each step with what falls into it; what nobody put anywhere waits at the edge. The same over time is one tap away. */
export const MethodShelf = memo(function MethodShelf({
  method,
  onReadAgain,
}: {
  method: Method;
  /** Where the steps were kept once. */ onReadAgain: (() => void) | undefined;
}) {
  const { steps, unbound, acts } = method;
  const [view, setView] = useState<'pots' | 'time'>('pots');
  const [chosen, setChosen] = useState<string>();
  const sensors = useSensors(useSensor(PointerSensor, pulled));
  if (steps.length === 0) return null;
  const session = inSession(steps);
  const hands = session.reduce((s, x) => s + x.handsOnMin, 0);
  const guesses = session.filter((s) => s.guess).length;
  const at = steps.findIndex((s) => s.id === chosen);
  const step = steps[at];
  const choose = (id: string): void => setChosen((before) => (before === id ? undefined : id));
  return (
    <Card aria-label="How it is cooked">
      <Group justify="space-between" align="start" wrap="nowrap" mb={10}>
        <div>
          <Title order={2}>How it is cooked</Title>
          <Text c="dimmed">
            {session.length} {session.length === 1 ? 'step' : 'steps'} in the session, {sayMinutes(Math.round(hands))} of hands
            {guesses > 0 ? `; minutes marked “about” are guesses until you say them or have cooked it` : ''}.
          </Text>
        </div>
        <Either name="Show the steps as" value={view} onChange={setView} ways={{ pots: 'Pots', time: 'Time' }} />
      </Group>
      {view === 'time' ? (
        <>
          <MethodTime steps={steps} onChoose={choose} />
          <Text size="sm" c="dimmed">
            Solid: your hands; pale: it minds itself. Saffron lines carry what was made, broken ones only come first.
          </Text>
        </>
      ) : (
        <DndContext
          sensors={sensors}
          collisionDetection={pointerWithin}
          onDragEnd={({ active, over }) => {
            const lineId = (active.data.current as { lineId?: string } | undefined)?.lineId;
            if (over && lineId !== undefined) acts.put(lineId, String(over.id));
          }}
        >
          <ol className={c.shelf}>
            {unbound.length > 0 && (
              <li className={c.edge}>
                <Text fw={700} c="tomato">
                  in no step yet
                </Text>
                <Group gap={4} justify="center" my={6}>
                  {unbound.map((line) => (
                    <FoodChip key={line.id} line={line} method={method} />
                  ))}
                </Group>
                <Text size="sm" c="dimmed">
                  tap it, or pull it into a pot
                </Text>
              </li>
            )}
            {steps.map((s, i) => (
              <Pot key={s.id} step={s} i={i} method={method} chosen={s.id === chosen} onChoose={() => choose(s.id)} />
            ))}
          </ol>
        </DndContext>
      )}
      {onReadAgain && (
        <Button variant="outline" size="sm" mt={10} onClick={onReadAgain}>
          Read the method again
        </Button>
      )}
      {step && <StepPanel key={step.id} step={step} i={at} method={method} onClose={() => setChosen(undefined)} />}
    </Card>
  );
});
