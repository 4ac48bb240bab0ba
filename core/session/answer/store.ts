import type { Instant, TamboEvent } from '#core/contract';
import { probablyEaten } from '#core/eat';
import { allergenLines } from '#core/recipe';
import { cautionsFor } from '#core/safety';
import { byOrder, roomIn, undoneIds, useFirst, type PackState } from '#core/store';
import type { PackAnswer, StoreAnswer } from '../answers.ts';
import { labelContent } from '../labels.ts';
import { sayEvent } from '../say.ts';
import type { World } from '../world.ts';
import type { Book } from './book.ts';
import { briefOf } from './brief.ts';
import { suppliesNow, todayOf } from './today.ts';

/** The store by place, the soonest due first. */
export function storeAnswer(world: World, book: Book, now: Instant): StoreAnswer {
  const today = todayOf(world, now);
  const { stock, probable } = probablyEaten(world.packs, today);
  const brief = (p: PackState) => briefOf(p, today, world.household.timeZone, world.containers);
  return {
    today,
    places: world.places.map((place) => ({ place, room: roomIn(place, stock) })),
    packs: useFirst(stock, today, world.household.timeZone).map((x) => brief(x.pack)),
    probable: probable.map(brief),
    dinners: suppliesNow(world, book, today).dinners.count,
  };
}

/** One pack with its story, its label and the cautions that belong to it. */
export function packAnswer(pack: PackState, logged: readonly TamboEvent[], world: World, now: Instant): PackAnswer {
  const today = todayOf(world, now);
  const events = [...logged].sort(byOrder);
  const gone = undoneIds(events);
  const names = new Map(world.eaters.map((e) => [e.id, e.name]));
  const container = world.containers.find((c) => c.id === pack.containerId);
  return {
    pack,
    brief: briefOf(pack, today, world.household.timeZone, world.containers),
    history: events
      .filter((e) => e.type !== 'undone')
      .map((e) => ({ id: e.id, at: e.instant, says: sayEvent(e, pack.name, names, today), undone: gone.has(e.id) }))
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
    ),
    label: labelContent(pack, world.allergenNames),
    ...(container && { container }),
    allergens: allergenLines(pack.allergens, world.allergenNames),
    places: [...world.places],
    eaters: [...world.eaters],
  };
}
