import { useMemo } from 'react';
import type { Line, Step, StepFix, Writing } from '#core/contract';
import { cutStep, joinStep, placeOfStep, putInStep, sayOfStep, takeOutOfStep, type Composed } from '#core/recipe';
import { newId } from '../../sync/device.ts';

/** What can be done to the method besides writing it; each act is one step back for Undo. */
export interface MethodActs {
  put: (lineId: string, stepId: string, share?: number) => void;
  takeOut: (step: Step, lineId: string) => void;
  say: (step: Step, set: StepFix['set']) => void;
  /** @param at where in the step's words as they are shown */
  cut: (step: Step, at: number) => void;
  join: (step: Step) => void;
  /** Lists a food that a step takes. */
  list: (text: string) => void;
}

/** A method as it is understood, to be corrected. */
export interface Method {
  steps: readonly Step[];
  lines: readonly Line[];
  /** Lines of the session that no step takes. */
  unbound: readonly Line[];
  acts: MethodActs;
}

/** @param edit takes the next writing, with the field that a run of changes belongs to */
export function useMethod(writing: Writing, composed: Composed, edit: (next: Writing, field?: string) => void): Method {
  const { steps, lines } = composed.revision;
  return useMemo(() => {
    const used = new Set(steps.flatMap((s) => s.uses.map((u) => u.lineId)));
    return {
      steps,
      lines,
      unbound: steps.length === 0 ? [] : lines.filter((l) => l.moment === 'batch' && !used.has(l.id)),
      acts: {
        put: (lineId, stepId, share) => edit(putInStep(writing, steps, lineId, stepId, share)),
        takeOut: (step, lineId) => edit(takeOutOfStep(writing, step, lineId)),
        say: (step, set) => edit(sayOfStep(writing, step, set), `step ${step.id} ${Object.keys(set).join()}`),
        cut: (step, at) => {
          // the shown words begin with a capital and without the joint before them: found again by what follows
          const raw = placeOfStep(writing, step)?.raw ?? '';
          const there = raw.indexOf(step.text.slice(at, at + 40));
          if (there > 0) edit(cutStep(writing, step, there));
        },
        join: (step) => edit(joinStep(writing, steps, step)),
        list: (text) => edit({ ...writing, lines: [...writing.lines.filter((l) => l.text.trim() !== ''), { id: newId(), text }] }),
      },
    };
  }, [writing, steps, lines, edit]);
}
