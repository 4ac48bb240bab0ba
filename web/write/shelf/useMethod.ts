import { useMemo } from 'react';
import type { Line, Step, StepFix, Writing } from '#core/contract';
import { cutStep, joinStep, placeOfStep, putInStep, sayOfStep, takeOutOfStep, type ReadMethod } from '#core/recipe';
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
  /** How it was read; none where all of it was kept. */
  understood: ReadMethod['understood'];
  /** Lines of the session that no step takes. */
  unbound: readonly Line[];
  acts: MethodActs;
}

/** The recipe being written, as it stands at the moment of an act. */
interface Live {
  current: { writing: Writing; edit: (next: Writing, field?: string) => void };
}

/** @param live what is written now, which may be further than what was read */
export function useMethod(live: Live, { steps, lines, understood }: ReadMethod): Method {
  return useMemo(() => {
    const used = new Set(steps.flatMap((s) => s.uses.map((u) => u.lineId)));
    const act = (next: (w: Writing) => Writing, field?: string): void => live.current.edit(next(live.current.writing), field);
    return {
      steps,
      lines,
      understood,
      unbound: steps.length === 0 ? [] : lines.filter((l) => l.moment === 'batch' && !used.has(l.id)),
      acts: {
        put: (lineId, stepId, share) => act((w) => putInStep(w, steps, lineId, stepId, share)),
        takeOut: (step, lineId) => act((w) => takeOutOfStep(w, step, lineId)),
        say: (step, set) => act((w) => sayOfStep(w, step, set), `step ${step.id} ${Object.keys(set).join()}`),
        cut: (step, at) =>
          act((w) => {
            // the shown words begin with a capital and without the joint before them: found again by what follows
            const raw = placeOfStep(w, step)?.raw ?? '';
            const there = raw.indexOf(step.text.slice(at, at + 40));
            return there > 0 ? cutStep(w, step, there) : w;
          }),
        join: (step) => act((w) => joinStep(w, steps, step)),
        list: (text) =>
          act((w) =>
            // a second tap, before the first was read, lists nothing twice
            w.lines.some((l) => l.text === text)
              ? w
              : { ...w, lines: [...w.lines.filter((l) => l.text.trim() !== ''), { id: newId(), text }] },
          ),
      },
    };
  }, [live, steps, lines, understood]);
}
