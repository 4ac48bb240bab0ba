import { z } from 'zod';
import { batchSchema, clockSchema, daySchema, idSchema, sessionSchema, type Batch, type Session } from '#core/contract';
import { sayWeekday } from '#core/kitchen';
import { maxPortions } from '#core/recipe';
import type { RecipeBrief } from '#core/queries';

/** A plan as it is typed: portions and names stay text, so that a half-typed one is not lost. */
const planDraftSchema = z.object({
  id: idSchema,
  name: z.string(),
  day: daySchema,
  startAt: clockSchema,
  /** Names with commas, and behind a name its hours where it comes later or goes sooner. */
  cooks: z.string(),
  /** It is to be over by then; empty: when it is done. */
  finishBy: z.string().default(''),
  /** Hours without a loud machine, `13:00-14:30`. */
  quiet: z.string().default(''),
  /** When hands rest, with commas: `Lunch 12:30-13:00, the baby's meal 12:00-12:20 Ana`. */
  breaks: z.string().default(''),
  /** Hands-on work takes so many times as long. */
  interruptions: z.string().default('1'),
  cleanFirst: z.boolean().default(false),
  dishes: z.array(z.object({ batch: batchSchema, text: z.string() })),
  /** The session as it was when the plan was opened: what another device changed since is met, not overwritten. */
  was: sessionSchema.nullable(),
});

export type PlanDraft = z.infer<typeof planDraftSchema>;
export type PlannedDish = PlanDraft['dishes'][number];

/** A draft kept on this device, unless an older page wrote it in another shape. */
export const readPlanDraft = (kept: unknown): PlanDraft | undefined => {
  const read = planDraftSchema.safeParse(kept);
  return read.success ? read.data : undefined;
};

export const planName = (d: PlanDraft): string => `${d.name.trim() || 'A session'} for ${sayWeekday(d.day)}`;

/** A session to go on with, or a new one. */
export const planDraftOf = (session: Session, stored: Session | null): PlanDraft => ({
  id: session.id,
  name: session.name,
  day: session.day,
  startAt: session.startAt,
  cooks: session.cooks.map((c) => [c.name, sayHours(c.from, c.until)].filter(Boolean).join(' ')).join(', '),
  finishBy: session.finishBy ?? '',
  quiet: session.quiet ? sayHours(...session.quiet) : '',
  breaks: (session.breaks ?? [])
    .map((b) => [b.name, sayHours(b.from, b.until), session.cooks.find((c) => c.id === b.cookId)?.name].filter(Boolean).join(' '))
    .join(', '),
  interruptions: String(session.interruptions ?? 1),
  cleanFirst: session.cleanFirst ?? false,
  dishes: session.batches.map((batch) => ({ batch, text: String(batch.portions) })),
  was: stored,
});

export const okPortions = (text: string): boolean => Number(text) > 0 && Number(text) <= maxPortions;

/** At most six hands at one worktop. */
const mostCooks = 6;

/** Hours as they are typed and said: from the first, until the second. */
const sayHours = (from?: string, until?: string): string =>
  from === undefined && until === undefined ? '' : `${from ?? ''}-${until ?? ''}`;

const clock = String.raw`(?<![\d:.])(?:[01]?\d|2[0-3])(?:[:.][0-5]\d)?(?![\d:.])`;
const hoursAtEnd = new RegExp(String.raw`^(.*?)\s*(?:from\s+)?(${clock})?\s*(?:-|–|to|until)\s*(${clock})?$`, 'u');
const fromAtEnd = new RegExp(String.raw`^(.*?)\s+from\s+(${clock})$`, 'u');
/** Before this hour nobody cooks: a bare 3 is three in the afternoon. */
const firstHour = 6;
/** A typed time as a clock: `9.15`, `10`, a bare `3` of the afternoon. */
function asClock(text: string | undefined): string | undefined {
  if (text === undefined) return undefined;
  const [hours = '', minutes] = text.split(/[:.]/);
  const h = Number(hours) + (minutes === undefined && hours.length === 1 && Number(hours) < firstHour ? 12 : 0);
  return `${String(h).padStart(2, '0')}:${minutes ?? '00'}`;
}

/** A name with its hours. @example readHours('Neighbour 10:30-13:00') // { name: 'Neighbour', from: '10:30', until: '13:00' } */
export function readHours(text: string): { name: string; from?: string; until?: string } {
  const found = hoursAtEnd.exec(text) ?? fromAtEnd.exec(text);
  const [, name = '', from, until] = found ?? [];
  if (!found || (from === undefined && until === undefined)) return { name: text };
  return { name: name.trim(), ...(from !== undefined && { from: asClock(from)! }), ...(until !== undefined && { until: asClock(until)! }) };
}

/** Quiet hours that were typed; undefined when they cannot be read. @example readQuiet('13:00-14:30') // ['13:00', '14:30'] */
export function readQuiet(text: string): [string, string] | undefined {
  const { name, from, until } = readHours(text.trim());
  return name === '' && from !== undefined && until !== undefined ? [from, until] : undefined;
}

const breakOf = new RegExp(String.raw`^(.*?)\s*(?:from\s+)?(${clock})\s*(?:-|–|to|until)\s*(${clock})\s*(?:for\s+)?(.*)$`, 'u');
/** As many as a long day has. */
const mostBreaks = 12;

/**
 * Breaks that were typed, everybody's or of the cook named behind the hours; what cannot be read is told apart.
 * @example readBreaks('Lunch 12:30-13:00', []) // { breaks: [{ name: 'Lunch', from: '12:30', until: '13:00' }], bad: [] }
 */
export function readBreaks(text: string, cooks: Session['cooks']): { breaks: NonNullable<Session['breaks']>; bad: string[] } {
  const breaks: NonNullable<Session['breaks']> = [];
  const bad: string[] = [];
  for (const part of text
    .split(',')
    .map((p) => p.trim())
    .filter(Boolean)) {
    const [, name = '', from, until, whose = ''] = breakOf.exec(part) ?? [];
    const cook = cooks.find((c) => c.name.toLowerCase() === whose.trim().toLowerCase());
    if (from === undefined || asClock(from)! >= asClock(until)! || (whose.trim() !== '' && !cook) || breaks.length >= mostBreaks)
      bad.push(part);
    else
      breaks.push({
        name: name.trim().slice(0, 60) || 'A break',
        from: asClock(from)!,
        until: asClock(until)!,
        ...(cook && { cookId: cook.id }),
      });
  }
  return { breaks, bad };
}

/** Cooks by their names; those who were there keep who they are. */
function cooksFrom(text: string, before: Session['cooks']): Session['cooks'] {
  const named = text
    .split(',')
    .map((n) => readHours(n.trim()))
    .map((c, i) => ({ ...c, name: (c.name || ((c.from ?? c.until) ? `Cook ${i + 1}` : '')).slice(0, 60) }))
    .filter((c) => c.name)
    .slice(0, mostCooks);
  const list = named.length > 0 ? named : [{ name: 'Cook' }];
  return list.map((c, i) => ({ id: before.find((b) => b.name === c.name)?.id ?? before[i]?.id ?? `cook_${i + 1}`, ...c }));
}

/** What a draft comes to as a session: dishes whose portions cannot be read are left out. */
export function sessionOfDraft(d: PlanDraft): Session {
  const quiet = readQuiet(d.quiet);
  const finishBy = clockSchema.safeParse(d.finishBy);
  const cooks = cooksFrom(d.cooks, d.was?.cooks ?? []);
  const { breaks } = readBreaks(d.breaks, cooks);
  const interruptions = Number(d.interruptions);
  return {
    id: d.id,
    name: d.name.trim().slice(0, 80) || 'Session',
    day: d.day,
    startAt: d.startAt,
    cooks,
    batches: d.dishes.filter((p) => okPortions(p.text)).map((p) => ({ ...p.batch, portions: Number(p.text) })),
    ...(finishBy.success && { finishBy: finishBy.data }),
    ...(quiet && { quiet }),
    ...(breaks.length > 0 && { breaks }),
    ...(interruptions > 1 && interruptions <= 3 && { interruptions }),
    ...(d.cleanFirst && { cleanFirst: true }),
    // an order that was taken stays with what is still cooked
    ...(d.was?.order && { order: d.was.order }),
  };
}

/** A recipe as a dish of a plan. */
export const batchOf = (id: string, r: RecipeBrief, portions: number, unsalted = 0): Batch => ({
  id,
  recipeId: r.recipe.id,
  revisionId: r.recipe.revisionId,
  portions,
  ...(r.yieldFactor !== undefined && { yieldFactor: r.yieldFactor }),
  ...(unsalted > 0 && { unsalted }),
});

/** A draft with a dish more; what is on the plan already is cooked at the new size, not twice. */
export const withDish = (d: PlanDraft, batch: Batch): PlanDraft => {
  const dish = (id: string): PlannedDish => ({ batch: { ...batch, id }, text: String(batch.portions) });
  return d.dishes.some((p) => p.batch.recipeId === batch.recipeId)
    ? { ...d, dishes: d.dishes.map((p) => (p.batch.recipeId === batch.recipeId ? dish(p.batch.id) : p)) }
    : { ...d, dishes: [...d.dishes, dish(batch.id)] };
};
