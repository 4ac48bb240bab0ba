import type { Step, StepFix, Writing, WrittenStep } from '#core/contract';

/** Where a step stands in the method as written. */
export interface StepPlace {
  paragraph: WrittenStep;
  from: number;
  to: number;
  /** Its words as they stand there. */
  raw: string;
}

/** Where a step stands in the method as written, and its words there. @example placeOfStep(writing, step)?.raw // 'Grate one quince and ' */
export function placeOfStep(writing: Writing, step: Pick<Step, 'id' | 'textId' | 'span'>): StepPlace | undefined {
  const paragraph = writing.steps.find((w) => w.id === (step.textId ?? step.id));
  if (!paragraph) return undefined;
  const [from, to] = step.span ?? [0, paragraph.text.length];
  return { paragraph, from, to, raw: paragraph.text.slice(from, to) };
}

const changed = (writing: Writing, id: string, next: (w: WrittenStep) => WrittenStep): Writing => ({
  ...writing,
  steps: writing.steps.map((w) => (w.id === id ? next(w) : w)),
});

/** A writing in which something is said of a step; what was said before stands beside it. */
function withSaid(writing: Writing, step: Step, say: (before: StepFix) => StepFix): Writing {
  const place = placeOfStep(writing, step);
  if (!place) return writing;
  return changed(writing, place.paragraph.id, (w) => {
    const fixes = w.fixes ?? [];
    const before = fixes.find((f) => f.id === step.id);
    const next = say({ ...(before ?? { id: step.id, set: {} }), text: place.raw });
    return { ...w, fixes: [...fixes.filter((f) => f !== before), next] };
  });
}

/**
 * Says something of a step: its minutes, vessel, heat, cue, kind, day, what it comes after.
 * @example sayOfStep(writing, step, { waitMin: 25 })
 */
export const sayOfStep = (writing: Writing, step: Step, set: StepFix['set']): Writing =>
  withSaid(writing, step, (f) => ({ ...f, set: { ...f.set, ...set } }));

/**
 * Puts a line into a step, and takes as much out of the steps it was in without the cook having said so.
 * @param share how much of the line; all that is not said to be elsewhere when absent
 * @example putInStep(writing, steps, 'bay', 's2') // the bay leaf goes into the second pot
 */
export function putInStep(writing: Writing, steps: readonly Step[], lineId: string, stepId: string, share?: number): Writing {
  const step = steps.find((s) => s.id === stepId);
  if (!step) return writing;
  const elsewhere = steps.filter((s) => s.id !== stepId && s.uses.some((u) => u.lineId === lineId));
  const kept = share === undefined ? 0 : Math.max(0, 1 - share);
  let next = withSaid(writing, step, (f) => ({ ...f, uses: { ...f.uses, [lineId]: share ?? 1 } }));
  // the others keep what is left, in the parts they had
  const sum = elsewhere.reduce((s, x) => s + (x.uses.find((u) => u.lineId === lineId)?.share ?? 0), 0);
  for (const other of elsewhere) {
    const had = other.uses.find((u) => u.lineId === lineId)?.share ?? 0;
    const left = sum > 0 ? Number(((had / sum) * kept).toFixed(4)) : 0;
    next = withSaid(next, other, (f) => ({ ...f, uses: { ...f.uses, [lineId]: left } }));
  }
  return next;
}

/** Takes a line out of a step. @example takeOutOfStep(writing, step, 'bay') */
export const takeOutOfStep = (writing: Writing, step: Step, lineId: string): Writing =>
  withSaid(writing, step, (f) => ({ ...f, uses: { ...f.uses, [lineId]: 0 } }));

/**
 * Parts a step in two before some of its words.
 * @param at where in the step's own words
 * @example cutStep(writing, step, 24)
 */
export function cutStep(writing: Writing, step: Step, at: number): Writing {
  const place = placeOfStep(writing, step);
  if (!place) return writing;
  const text = place.raw.slice(at).trim();
  if (text === '' || place.raw.slice(0, at).trim() === '') return writing;
  return changed(writing, place.paragraph.id, (w) => ({
    ...w,
    // what was said to be one step over this place is so no longer
    cuts: [...(w.cuts ?? []).filter((c) => c.text !== text && !(c.whole && c.text.includes(text))), { text }],
  }));
}

/**
 * Joins a step to the one told before it: in its paragraph, or with the paragraph above.
 * @returns the writing as it was when there is none before it
 * @example joinStep(writing, steps, steps[1])
 */
export function joinStep(writing: Writing, steps: readonly Step[], step: Step): Writing {
  const place = placeOfStep(writing, step);
  const before = steps[steps.indexOf(step) - 1];
  const above = before && placeOfStep(writing, before);
  if (!place || !above) return writing;
  const { paragraph } = place;
  const one = (text: string, cuts: WrittenStep['cuts'] = []): NonNullable<WrittenStep['cuts']> => [
    ...cuts.filter((c) => !text.includes(c.text)),
    { text, whole: true },
  ];
  if (above.paragraph === paragraph) {
    const text = paragraph.text.slice(above.from, place.to).trim();
    return changed(writing, paragraph.id, (w) => ({ ...w, cuts: one(text, w.cuts) }));
  }
  const [upper, lower] = [above.paragraph.text.trimEnd(), paragraph.text.trimStart()];
  const text = `${upper} ${lower}`;
  const lead = paragraph.text.length - lower.length;
  const whole = text.slice(above.from, upper.length + 1 + place.to - lead).trim();
  const joined: WrittenStep = {
    ...above.paragraph,
    text,
    fixes: [...(above.paragraph.fixes ?? []), ...(paragraph.fixes ?? [])],
    cuts: one(whole, [...(above.paragraph.cuts ?? []), ...(paragraph.cuts ?? [])]),
  };
  return { ...writing, steps: writing.steps.flatMap((w) => (w === above.paragraph ? [joined] : w === paragraph ? [] : [w])) };
}

/** What was said of a kept step, as corrections of a new reading. */
function fixOfKept(step: Step, text: string): StepFix | undefined {
  const said = new Set(step.said ?? []);
  if (said.size === 0) return undefined;
  return {
    text,
    id: step.id,
    set: {
      ...(said.has('hands') && { handsOnMin: step.handsOnMin }),
      ...(said.has('wait') && { waitMin: step.waitMin }),
      ...(said.has('needs') && { needs: step.needs }),
      ...(said.has('cue') && step.cue !== undefined && { cue: step.cue }),
      ...(said.has('kind') && step.kind && { kind: step.kind }),
      ...(said.has('lid') && step.lid && { lid: step.lid }),
      ...(said.has('moment') && { moment: step.moment ?? ('batch' as const) }),
      ...(said.has('after') && { after: step.after, takes: step.takes ?? step.after }),
    },
    ...(said.has('uses') && { uses: Object.fromEntries(step.uses.map((u) => [u.lineId, u.share])) }),
  };
}

/**
 * The same writing with its method read anew: what was kept of the steps is let go, what the cook has said of them stands.
 * @example compose(readAgain(writing), ctx).revision.steps // to be laid beside the old ones before it is taken
 */
export const readAgain = (writing: Writing): Writing => ({
  ...writing,
  steps: writing.steps.map(({ id, text, step, kept, fixes, cuts }) => {
    const old = kept ?? (step ? { text: step.text, steps: [step] } : undefined);
    const said = (old?.steps ?? []).flatMap((s) => fixOfKept(s, s.span ? old!.text.slice(...s.span) : old!.text) ?? []);
    const mine = new Set((fixes ?? []).map((f) => f.id));
    const all = [...said.filter((f) => !mine.has(f.id)), ...(fixes ?? [])];
    return { id, text, ...(all.length > 0 && { fixes: all }), ...(cuts?.length && { cuts }) };
  }),
});
