import type { Container, EventData, Figures, Id, TamboEvent } from '#core/contract';
import { outerMl } from '#core/pack';
import type { PackState } from './state.ts';

/** One of the packs that food is packed anew into. */
export interface NewPack {
  code: string;
  /** None with a name of its own. */
  container?: Container;
  portions: number;
  n: number;
  of: number;
}

const earliest = (days: readonly (string | undefined)[]): string | undefined => {
  const known = days.filter((d): d is string => d !== undefined);
  // of food nobody can date, nobody knows how long it keeps
  return known.length < days.length ? undefined : known.toSorted()[0];
};

const sum = (list: readonly number[]): number => list.reduce((s, n) => s + n, 0);

/**
 * What a pack is filled with out of others: as old as the oldest of them, best by the soonest, holding what any of them holds.
 * Laws: what is split over packs weighs what it weighed; no date moves later, no allergen is lost.
 * @param from packs that it comes from, what is left in each
 * @example repackedData([tub7], { code: 'K4MD8', portions: 1, n: 1, of: 4 }, figures).massG // a quarter of tub7
 */
export function repackedData(
  from: readonly [PackState, ...PackState[]],
  pack: NewPack,
  figures: Pick<Figures, 'cubesLitres' | 'bagSpace'>,
): EventData<'filled'> {
  const [first] = from;
  const left = sum(from.map((p) => p.left));
  const share = (of: (p: PackState) => number): number => {
    const held = sum(from.map((p) => (p.portions > 0 ? (of(p) * p.left) / p.portions : of(p))));
    return Math.round((left > 0 ? held / left : 0) * pack.portions);
  };
  const made = from.every((p) => p.made) ? from.map((p) => p.made!) : undefined;
  const volumeMl = share((p) => p.volumeMl);
  const bestBy = earliest(from.map((p) => p.bestBy));
  const limit = earliest(from.map((p) => p.limit));
  const foundOn = earliest(from.map((p) => p.foundOn));
  const all = <T>(of: (p: PackState) => readonly T[]): T[] => [...new Map(from.flatMap(of).map((x) => [JSON.stringify(x), x])).values()];
  return {
    code: pack.code,
    lotId: first.lotId,
    ...(first.batchId && { batchId: first.batchId }),
    ...(first.sessionId && { sessionId: first.sessionId }),
    ...(first.recipeId && { recipeId: first.recipeId }),
    ...(first.revisionId && { revisionId: first.revisionId }),
    name: first.name,
    kind: first.kind,
    ...(pack.container && { containerId: pack.container.id }),
    portions: pack.portions,
    ...(first.cubes !== undefined && { cubes: Math.max(1, Math.round(pack.portions)) }),
    massG: share((p) => p.massG),
    volumeMl,
    outerMl: Math.round(pack.container ? outerMl(pack.container, volumeMl, figures, first.cubes !== undefined) : share((p) => p.outerMl)),
    ...(made && {
      made: {
        earliest: earliest(made.map((m) => m.earliest))!,
        latest: made
          .map((m) => m.latest)
          .toSorted()
          .at(-1)!,
      },
    }),
    ...(!made && foundOn && { foundOn }),
    nOf: { n: pack.n, of: pack.of },
    life: first.life,
    ...(bestBy && { bestBy }),
    ...(limit && { limit }),
    allergens: {
      contains: all((p) => p.allergens.contains).toSorted(),
      check: all((p) => p.allergens.check),
      unmatched: all((p) => p.allergens.unmatched),
    },
    raw: from.some((p) => p.raw),
    cautions: all((p) => p.cautions).slice(0, 8),
    addOnDay: [...first.addOnDay],
    ...(first.measure && { measure: first.measure }),
    ...(first.whole !== undefined && { whole: first.whole }),
    reheat: [...first.reheat],
    ...(first.thaw && { thaw: first.thaw }),
  };
}

/**
 * How many portions go out of each pack, the first emptied before the next.
 * @example portionsFrom([tub7, tub8], 3) // [2, 1] of two with two each
 */
export function portionsFrom(from: readonly Pick<PackState, 'left'>[], portions: number): number[] {
  let open = portions;
  return from.map((p) => {
    const go = Math.min(p.left, open);
    open -= go;
    return go;
  });
}

/** Packs that one event of packing anew speaks of beside its own: those filled, and those it came from. */
const besides = (e: TamboEvent): readonly Id[] => (e.type === 'repacked' ? e.data.into : e.type === 'filled' ? (e.data.from ?? []) : []);

/**
 * Events that are one act with another: food went out of packs and into packs at once, and can be taken back only whole.
 * @param around events of all packs that it speaks of
 * @example actOf(repacked, events).map((e) => e.type) // ['filled', 'filled', 'repacked']
 */
export function actOf(event: TamboEvent, around: readonly TamboEvent[]): TamboEvent[] {
  if (besides(event).length === 0) return [event];
  const into = new Set(event.type === 'repacked' ? event.data.into : event.subjects);
  // those that were filled with it, by what it came from
  for (const e of around) if (e.type === 'repacked' && e.data.into.some((id) => into.has(id))) for (const id of e.data.into) into.add(id);
  const act = around.filter(
    (e) =>
      (e.type === 'repacked' && e.data.into.some((id) => into.has(id))) ||
      (e.type === 'filled' && e.data.from && e.subjects.some((id) => into.has(id))),
  );
  return act.some((e) => e.id === event.id) ? act : [event, ...act];
}

/** Packs whose events have to be known to tell an act whole. @example speaksOf([repacked]) // ids of the packs it filled */
export const speaksOf = (events: readonly TamboEvent[]): Id[] => [...new Set(events.flatMap(besides))];
