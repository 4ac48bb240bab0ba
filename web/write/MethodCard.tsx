import { Card, Text, Title } from '@mantine/core';
import { memo, useMemo, useRef } from 'react';
import type { Step, Writing, WrittenStep } from '#core/contract';
import { sayMinutes } from '#core/kitchen';
import { move, type Composed } from '#core/recipe';
import { newId } from '../sync/device.ts';
import { AnotherText, SortedTexts } from './SortedTexts.tsx';
import { TextRow, type TextActs } from './TextRow.tsx';
import { useTexts } from './useTexts.ts';
import c from './Texts.module.css';

const newStep = (text: string): WrittenStep => ({ id: newId(), text });

/** One step: its number, its text, and its minutes as they are read. */
const StepRow = memo(function StepRow({
  id,
  text,
  n,
  only,
  minutes,
  acts,
}: {
  id: string;
  text: string;
  n: number;
  only: boolean;
  minutes: string;
  acts: TextActs;
}) {
  return (
    <TextRow
      id={id}
      text={text}
      label={`Step ${n}`}
      placeholder={only ? 'Sweat the leeks in the oil for 10 minutes.' : undefined}
      acts={acts}
      isStep
      number={<span className={c.number}>{n}</span>}
    >
      <Text size="xs" c="dimmed" py={9} className={c.where}>
        {minutes}
      </Text>
    </TextRow>
  );
});

/** Which steps a paragraph holds, and their minutes. */
function sayPart({ from, steps }: { from: number; steps: readonly Step[] }): string {
  const hands = steps.reduce((sum, s) => sum + s.handsOnMin, 0);
  const wait = steps.reduce((sum, s) => sum + s.waitMin, 0);
  const which = steps.length === 1 ? `step ${from}` : `steps ${from} to ${from + steps.length - 1}`;
  return `${which}: ${steps.some((s) => s.guess) ? 'about ' : ''}${sayMinutes(hands)}${wait > 0 ? `, then ${sayMinutes(wait)} by itself` : ''}`;
}

/** The method as plain text, a step each: split by Enter, joined by Backspace. */
export function MethodCard({
  writing,
  composed,
  edit,
}: {
  writing: Writing;
  composed: Composed;
  edit: (next: Writing, field?: string) => void;
}) {
  const empty = useRef(newStep(''));
  const steps = writing.steps.length > 0 ? writing.steps : [empty.current];
  const setSteps = (next: WrittenStep[], field?: string): void => edit({ ...writing, steps: next }, field);
  const acts = useTexts(steps, setSteps, newStep);
  // a paragraph may hold several steps
  const read = useMemo(() => {
    const found = new Map<string, { from: number; steps: Step[] }>();
    composed.revision.steps.forEach((s, i) => {
      const id = s.textId ?? s.id;
      found.set(id, { from: found.get(id)?.from ?? i + 1, steps: [...(found.get(id)?.steps ?? []), s] });
    });
    return found;
  }, [composed.revision.steps]);
  return (
    <Card aria-label="Method">
      <Title order={2} mb={6}>
        The method
      </Title>
      <SortedTexts ids={steps.map((s) => s.id)} onMove={(id, by) => setSteps(move(steps, id, by))}>
        {steps.map((step, i) => {
          const known = read.get(step.id);
          return (
            <StepRow
              key={step.id}
              id={step.id}
              text={step.text}
              n={i + 1}
              only={i === 0 && steps.length === 1}
              minutes={known ? sayPart(known) : ''}
              acts={acts}
            />
          );
        })}
      </SortedTexts>
      <AnotherText texts={steps} acts={acts} name="Another step" hint="Enter splits a step, Backspace joins it to the one above." />
    </Card>
  );
}
