import { demandOver } from '#core/plan';
import type { Unit } from '#core/contract';
import { isDinnerKind, fromNumber, type UnitSystem } from '#core/kitchen';
import type { ScaleTarget } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';

/** What the cook scales to. */
export const ways = ['portions', 'eaters', 'litres', 'grams', 'have', 'vessel', 'cubes'] as const;
export type Way = (typeof ways)[number];

/** Which measures the amounts are shown in; `both` puts cups beside the household's own. */
export type Shown = UnitSystem | 'both';

/** The target as typed, so that a half-typed figure is never lost. */
export interface Draft {
  by: Way;
  portions: string;
  litres: string;
  grams: string;
  cubes: string;
  have: { lineId: string; amount: string; unit: Unit }[];
  vesselId: string;
  /** Ids of those who eat; empty for all. */
  eaterIds: string[];
  days: number;
  /** One dinner in so many. */
  every: number;
  unsalted: string;
  shown: Shown;
}

export const numberIn = (text: string): number => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')));

/** Ways that make sense for a dish in this kitchen. */
export function waysFor(data: RecipeAnswer): Way[] {
  const { revision } = data;
  const fed = isDinnerKind(revision.kind)
    ? data.eaters.some((e) => e.stage !== 'baby')
    : revision.kind === 'puree' && data.eaters.some((e) => e.baby);
  return ways.filter((w) => {
    if (w === 'eaters') return fed;
    if (w === 'cubes') return revision.cubeMl !== undefined;
    if (w === 'vessel') return vesselsFor(data).length > 0;
    if (w === 'have') return revision.lines.some((l) => l.moment === 'batch' && l.amount !== undefined);
    return true;
  });
}

/** Pots and bowls that a dish goes through. */
export function vesselsFor(data: RecipeAnswer): RecipeAnswer['gear']['equipment'][number][] {
  const needs = new Set(data.revision.steps.flatMap((s) => s.needs.map((n) => n.kind)));
  return data.gear.equipment
    .filter(
      (e) =>
        e.count > 0 &&
        ((e.kind === 'pot' && (needs.has('hob') || needs.has('pot'))) ||
          ((e.kind === 'blender' || e.kind === 'processor') && (needs.has('blender') || needs.has('processor')))),
    )
    .toSorted((a, b) => (b.litres ?? 0) - (a.litres ?? 0));
}

/** Plates, or the baby's cubes, that some eaters ask for over some days, and who asks for how many. */
export function askedBy(data: RecipeAnswer, draft: Draft): { portions: number; who: { name: string; portions: number }[]; cubes?: number } {
  const baby = data.revision.kind === 'puree';
  const eaters = data.eaters.filter(
    (e) => (baby ? e.baby !== undefined : e.stage !== 'baby') && (draft.eaterIds.length === 0 || draft.eaterIds.includes(e.id)),
  );
  const who = eaters.map((e) => {
    const d = demandOver([e], data.today, draft.days);
    const all = baby ? d.babyMeals * (e.baby?.cubesPerMeal ?? 0) : d.quarters / 4;
    return { name: e.name, portions: Math.round((all / draft.every) * 4) / 4 };
  });
  const sum = who.reduce((s, w) => s + w.portions, 0);
  // portions are counted in quarters and a batch in whole ones, so that nobody goes short
  return { portions: Math.ceil(sum), who, ...(baby && { cubes: Math.ceil(sum) }) };
}

/** The typed draft as a target of the core. */
export function targetOf(data: RecipeAnswer, draft: Draft): ScaleTarget {
  switch (draft.by) {
    case 'portions':
      return { by: 'portions', portions: numberIn(draft.portions) };
    case 'litres':
      return { by: 'litres', ml: numberIn(draft.litres) * 1000 };
    case 'grams':
      return { by: 'grams', g: numberIn(draft.grams) };
    case 'cubes':
      return { by: 'cubes', cubes: numberIn(draft.cubes), cubeMl: data.revision.cubeMl ?? 27 };
    case 'vessel':
      return { by: 'vessel', vesselId: draft.vesselId };
    case 'eaters':
      return { by: 'portions', portions: askedBy(data, draft).portions };
    case 'have':
      return {
        by: 'have',
        have: draft.have.flatMap((h) => {
          const n = numberIn(h.amount);
          return Number.isFinite(n) ? [{ lineId: h.lineId, amount: fromNumber(n), unit: h.unit }] : [];
        }),
      };
  }
}

/** The draft that a link asks for, with what the page begins with. */
export function draftFrom(params: URLSearchParams, data: RecipeAnswer): Draft {
  const { revision, household } = data;
  const by = ways.find((w) => w === params.get('by')) ?? 'portions';
  const v = params.get('v') ?? '';
  const text = (way: Way, usual: string): string => (params.get('by') === way && v ? v : usual);
  const biggest = vesselsFor(data)[0]?.id ?? '';
  const firstLine = revision.lines.find((l) => l.moment === 'batch' && l.amount !== undefined);
  const have = (by === 'have' ? v : '').split(',').flatMap((part) => {
    const [lineId = '', amount = '', unit = ''] = part.split('~');
    return revision.lines.some((l) => l.id === lineId) ? [{ lineId, amount, unit: (unit || 'g') as Unit }] : [];
  });
  const shown = params.get('units');
  return {
    by,
    portions: text('portions', params.get('portions') ?? String(revision.servings)),
    litres: text('litres', '5'),
    grams: text('grams', '3000'),
    cubes: text('cubes', '56'),
    have: have.length > 0 ? have : firstLine ? [{ lineId: firstLine.id, amount: '', unit: haveUnit(firstLine.unit) }] : [],
    vesselId: by === 'vessel' && v ? v : biggest,
    eaterIds: by === 'eaters' && v ? v.split(',').filter((id) => data.eaters.some((e) => e.id === id)) : [],
    days: Math.min(84, Math.max(1, Number(params.get('days')) || 21)),
    every: Math.min(28, Math.max(1, Number(params.get('every')) || 3)),
    unsalted: params.get('unsalted') ?? '',
    shown: shown === 'both' || shown === 'us' || shown === 'uk' || shown === 'metric' ? shown : household.units,
  };
}

/** What is on hand is said in the unit a cook would: kilos for weights, else as written. */
export const haveUnit = (unit: Unit | undefined): Unit => (unit === undefined || unit === 'g' || unit === 'kg' ? 'kg' : unit);

/** The draft as a link that opens the same page. */
export function linkOf(draft: Draft, household: UnitSystem): URLSearchParams {
  const p = new URLSearchParams();
  const v: Record<Way, string> = {
    portions: draft.portions,
    litres: draft.litres,
    grams: draft.grams,
    cubes: draft.cubes,
    vessel: draft.vesselId,
    eaters: draft.eaterIds.join(','),
    have: draft.have.map((h) => `${h.lineId}~${h.amount}~${h.unit}`).join(','),
  };
  if (draft.by === 'portions') p.set('portions', draft.portions);
  else {
    p.set('by', draft.by);
    p.set('v', v[draft.by]);
  }
  if (draft.by === 'eaters') {
    p.set('days', String(draft.days));
    p.set('every', String(draft.every));
  }
  if (draft.unsalted) p.set('unsalted', draft.unsalted);
  if (draft.shown !== household) p.set('units', draft.shown);
  return p;
}
