import { Menu, Text, UnstyledButton } from '@mantine/core';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import type { Line, Step } from '#core/contract';
import { StepVessel, placeOfStep } from '../../draw/StepVessel.tsx';
import { sayShare, sayStepMinutes, stepName } from './sayStep.ts';
import type { Method } from './useMethod.ts';
import c from './Shelf.module.css';

const halves = [0.5, 1 / 3, 2 / 3, 0.25, 0.75];

/** A food on the shelf: pulled into a pot, or by its menu. */
export function FoodChip({ line, step, share = 1, method }: { line: Line; step?: Step; share?: number; method: Method }) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: `${step?.id ?? ''} ${line.id}`, data: { lineId: line.id } });
  const { steps, acts } = method;
  const open = step?.guessed?.includes('uses') === true && share < 1;
  return (
    <Menu withinPortal position="bottom-start" shadow="md">
      <Menu.Target>
        <UnstyledButton
          ref={setNodeRef}
          {...listeners}
          className={c.chip}
          data-loose={!step || undefined}
          data-held={isDragging || undefined}
          style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
          aria-label={
            step
              ? `${line.name}${share < 1 ? `, ${sayShare(share)}` : ''} goes in here: change`
              : `${line.name} is in no step: put it in one`
          }
        >
          {line.name.split(',')[0]}
          {share < 0.995 && <i>{open ? `${sayShare(share)}?` : sayShare(share)}</i>}
        </UnstyledButton>
      </Menu.Target>
      <Menu.Dropdown mah={360} style={{ overflowY: 'auto' }}>
        <Menu.Label>{step ? 'It goes into' : `Put ${line.name} into`}</Menu.Label>
        {steps.map((s, i) =>
          s.id === step?.id ? null : (
            <Menu.Item key={s.id} onClick={() => acts.put(line.id, s.id)}>
              {stepName(s, i)}
            </Menu.Item>
          ),
        )}
        {step && (
          <>
            <Menu.Divider />
            <Menu.Label>Only part of it here</Menu.Label>
            {halves.map((h) => (
              <Menu.Item key={h} onClick={() => acts.put(line.id, step.id, h)}>
                {sayShare(h)}
              </Menu.Item>
            ))}
            <Menu.Item onClick={() => acts.put(line.id, step.id)}>all of it</Menu.Item>
            <Menu.Divider />
            <Menu.Item onClick={() => acts.takeOut(step, line.id)}>Take it out</Menu.Item>
          </>
        )}
      </Menu.Dropdown>
    </Menu>
  );
}

/** One step on the shelf: what falls into it, its vessel, its minutes. */
export function Pot({
  step,
  i,
  method,
  chosen,
  onChoose,
}: {
  step: Step;
  i: number;
  method: Method;
  chosen: boolean;
  onChoose: () => void;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: step.id });
  const { steps, lines } = method;
  const results = (step.takes ?? step.after).flatMap((id) => {
    const n = steps.findIndex((s) => s.id === id);
    return n < 0 ? [] : [n];
  });
  return (
    <li ref={setNodeRef} className={c.pot} data-over={isOver || undefined} data-moment={step.moment}>
      <div className={c.falls}>
        {results.map((n) => (
          <Text key={n} span className={c.result} title={steps[n]!.text}>
            from {n + 1}
          </Text>
        ))}
        {step.uses.map((u) => {
          const line = lines.find((l) => l.id === u.lineId);
          return line && <FoodChip key={u.lineId} line={line} step={step} share={u.share} method={method} />;
        })}
      </div>
      <UnstyledButton
        className={c.vessel}
        data-chosen={chosen || undefined}
        aria-expanded={chosen}
        onClick={onChoose}
        aria-label={`Step ${stepName(step, i)}: open`}
      >
        <span className={c.stand}>
          <StepVessel place={placeOfStep(step, steps)} n={i + 1} />
          <span className={c.plank} />
        </span>
        <b className={c.name}>{stepName(step, i).replace(/^\d+ /, '')}</b>
        <Text span size="sm" c="dimmed" className={c.minutes}>
          {step.moment === 'eve' ? 'the evening before: ' : step.moment === 'serve' ? 'on the day: ' : ''}
          {sayStepMinutes(step)}
        </Text>
      </UnstyledButton>
    </li>
  );
}
