import type { Instant, TamboEvent } from '#core/contract';
import { allergenLines } from '#core/recipe';
import { cautionsFor } from '#core/safety';
import { actOf, byOrder, coldOf, momentOf, roomIn, undoneIds, useFirst, type PackState } from '#core/store';
import type { PackAnswer, StoreAnswer } from './answers.ts';
import { heatOfPack, labelAllergy, labelContent, labelSays, packAllergens, sayEvent, type World } from '#core/session';
import type { Records } from './records.ts';
import { briefOf } from './brief.ts';
import { sharesNow, suppliesNow } from './today.ts';

/** The store by place, the soonest due first. @example storeAnswer(world, records, now).places[0]?.room // how full the chest is */
export function storeAnswer(world: World, records: Records, now: Instant): StoreAnswer {
  const at = momentOf(world.household, world.figures, now);
  const { stock, probable, past } = sharesNow(world, records, at);
  const brief = (p: PackState) => briefOf(p, at, world);
  return {
    today: at.today,
    places: world.places.map((place) => ({ place, room: roomIn(place, stock) })),
    packs: useFirst(stock, at).map((x) => brief(x.pack)),
    probable: probable.map(brief),
    past: past.map(brief),
    dinners: suppliesNow(world, records, at).dinners.count,
  };
}

/**
 * One pack with its story, its label and the cautions that belong to it.
 * @param around events of the packs that its food came from or went into, to take back whole what was packed anew
 * @example packAnswer(tub7, events, world, now).heat // how this pack is heated
 */
export function packAnswer(
  pack: PackState,
  logged: readonly TamboEvent[],
  world: World,
  now: Instant,
  around: readonly TamboEvent[] = logged,
): PackAnswer {
  const at = momentOf(world.household, world.figures, now);
  const events = [...logged].sort(byOrder);
  const gone = undoneIds(events);
  const names = new Map(world.eaters.map((e) => [e.id, e.name]));
  const heat = heatOfPack(pack, world);
  const container = world.containers.find((c) => c.id === pack.containerId);
  return {
    pack,
    brief: briefOf(pack, at, world),
    history: events
      .filter((e) => e.type !== 'undone')
      .map((e) => ({
        id: e.id,
        at: e.instant,
        says: sayEvent(e, pack.name, names, at.today, world.household.units),
        undone: gone.has(e.id),
        act: actOf(e, around).map(({ id, subjects }) => ({ id, subjects })),
      }))
      .reverse(),
    cautions: cautionsFor(
      [
        'thawing',
        'reheating',
        'refreezing',
        ...(pack.kind === 'puree' ? (['baby'] as const) : []),
        ...(pack.raw ? (['rawMeat'] as const) : []),
        'bestBy',
      ],
      world.household.country,
      world.figures,
    ),
    label: labelContent(pack, world.allergenNames, heat, labelAllergy(pack, world)),
    labelSays: labelSays(pack, world),
    heat,
    cold: coldOf(pack, at),
    ...(container && { container }),
    allergens: allergenLines(packAllergens(pack, world), world.allergenNames, 'page'),
    places: [...world.places],
    eaters: [...world.eaters],
    containers: [...world.containers],
    lot: world.packs.filter((p) => p.lotId === pack.lotId),
  };
}
