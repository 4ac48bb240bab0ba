import { mayHold, sayPortions } from '#core/kitchen';
import { choosePacks, type Free, type PackResult } from '#core/pack';
import { portionName } from '#core/session';
import type { PackedBatch, SessionParts } from '#core/queries';

interface Option {
  id: string;
  name: string;
  result: PackResult;
}

/** Ways to pack what is in the pot, from the containers that other dishes leave free. */
export function optionsFor(b: PackedBatch, view: SessionParts['pack'], frees: readonly Free[], groups: readonly number[]): Option[] {
  const others = view.batches
    .filter((x) => x.batch.id !== b.batch.id && !x.flags.packed && x.packing.ok)
    .flatMap((x) => (x.packing.ok ? x.packing.choice.groups : []));
  const left = frees.map((f) => ({
    ...f,
    free: Math.max(0, f.free - others.filter((g) => g.container.id === f.container.id).reduce((s, g) => s + g.packs, 0)),
  }));
  const own: Option = { id: 'plan', name: 'As planned', result: b.packing };
  if (b.revision.cubeMl !== undefined) return [own];
  const wish = { yieldMl: b.toPackMl, portionMl: b.yield.portionMl, figures: b.heat.figures };
  // the same rule as the plan's: what may hold this dish
  const holding = left.filter((f) => mayHold(f.container, b.lot.dish));
  const stand = holding.filter((f) => f.container.shape !== 'bag');
  const say = (g: readonly number[]): string => (g[0] === 1 ? 'All in singles' : g[0] === 2 ? 'All in twos' : `In ${g.join(' and ')}s`);
  const more: Option[] = [[1], [4], [2]]
    .filter((g) => String(g) !== String(groups))
    .map((g) => ({ id: `g${g.join()}`, name: say(g), result: choosePacks({ ...wish, groups: g }, stand) }));
  const bags: Option = {
    id: 'bags',
    name: 'Flat bags',
    result: choosePacks(
      { ...wish, groups },
      holding.filter((f) => f.container.shape === 'bag'),
    ),
  };
  return [own, ...more.slice(0, 2), ...(b.lot.dish.pan ? [] : [bags])].filter(
    (o, i, all) => all.findIndex((x) => JSON.stringify(x.result) === JSON.stringify(o.result)) === i,
  );
}

export const sayResult = (r: PackResult, kind: string): string => {
  if (!r.ok)
    return r.why === 'portionTooLarge'
      ? `one portion is larger than every container${r.nearest ? `; the nearest is ${r.nearest.name}` : ''}`
      : r.why === 'nothingFree'
        ? 'nothing that fits is free'
        : 'less than a portion is left: tonight\u2019s';
  return (
    r.choice.groups.map((g) => `${g.packs} × ${g.container.name} of ${sayPortions(g.portionsEach)}`).join(', ') +
    (r.choice.portionsLeft > 0
      ? `; ${sayPortions(r.choice.portionsLeft)} ${portionName(kind, r.choice.portionsLeft)} find no container`
      : '')
  );
};
