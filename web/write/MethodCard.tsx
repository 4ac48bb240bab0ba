import { Card, Text, Title } from '@mantine/core';
import { memo, useMemo, useRef } from 'react';
import type { Writing, WrittenStep } from '#core/contract';
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
  const read = useMemo(() => new Map(composed.revision.steps.map((s) => [s.id, s])), [composed.revision.steps]);
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
              minutes={
                known
                  ? `${known.guess ? 'about ' : ''}${sayMinutes(known.handsOnMin)}${known.waitMin > 0 ? `, then ${sayMinutes(known.waitMin)} by itself` : ''}`
                  : ''
              }
              acts={acts}
            />
          );
        })}
      </SortedTexts>
      <AnotherText texts={steps} acts={acts} name="Another step" hint="Enter splits a step, Backspace joins it to the one above." />
    </Card>
  );
}
