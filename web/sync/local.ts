import { readCode } from '#core/pack';
import { type World } from '#core/session';
import {
  countAnswer,
  eatAnswer,
  frameAnswer,
  kitchenAnswer,
  labelsAnswer,
  packAnswer,
  sessionsAnswer,
  storeAnswer,
  todayAnswer,
  todayOf,
  viewOf,
  type Book,
} from '#core/queries';
import { afterWaiting, worldOfGround } from '#core/sync';
import type { TamboEvent } from '#core/contract';
import { now } from './clock.ts';
import { keptHousehold, since } from './household.ts';
import type { Waiting } from './outboxSlice.ts';

/** An answer made on this device, or why there is none; undefined when this address cannot be answered here. */
export type LocalAnswer = { at: string } & ({ data: unknown } | { missing: string });

let made: { waiting: readonly Waiting[]; at: string; world: World; book: Book; events: readonly TamboEvent[] } | undefined;

async function household(waiting: readonly Waiting[]) {
  const kept = await keptHousehold();
  if (!kept) return undefined;
  if (made?.waiting !== waiting || made.at !== kept.at) {
    const entries = since(waiting);
    made = { waiting, at: kept.at, events: entries.events, ...worldOfGround(afterWaiting(kept.ground, entries)) };
  }
  return made;
}

/** A page's data from the household kept here and what waits, by the same functions as the server's. */
export async function localAnswer(path: string, waiting: readonly Waiting[]): Promise<LocalAnswer | undefined> {
  const found = await household(waiting);
  if (!found) return undefined;
  const { world, book, at, events } = found;
  const instant = now();
  const [, station = '', rest] = /^\/([a-z]+)(?:\/([^?]+))?/.exec(path) ?? [];
  const id = decodeURIComponent(rest ?? '');
  const session = book.sessions().find((s) => s.id === id);
  switch (station) {
    case 'frame':
      return { at, data: frameAnswer(world, book, instant, false) };
    case 'today':
      return { at, data: todayAnswer(world, book, instant) };
    case 'eat':
      return { at, data: eatAnswer(world, book, instant) };
    case 'store':
      return { at, data: storeAnswer(world, book, instant) };
    case 'kitchen':
      return { at, data: kitchenAnswer(world, book, instant) };
    case 'count':
      return { at, data: countAnswer(world, book, instant) };
    case 'sessions':
      if (!id) return { at, data: sessionsAnswer(world, book, todayOf(world, instant)) };
      return session ? { at, data: viewOf(session, world, book, instant) } : { at, missing: 'This session is not kept on this device.' };
    case 'labels':
      return session
        ? { at, data: labelsAnswer(session, world, book, instant) }
        : { at, missing: 'This session is not kept on this device.' };
    case 'packs': {
      const packs = [...world.packs, ...book.sessions().flatMap((s) => book.packsOf(s.id))];
      const read = readCode(
        id,
        packs.map((p) => p.code),
      );
      const code = read.kind === 'exact' || read.kind === 'solved' ? read.code : id;
      const pack = packs.find((p) => p.packId === id || p.code === code);
      return pack
        ? {
            at,
            data: packAnswer(
              pack,
              events.filter((e) => e.subjects.includes(pack.packId)),
              world,
              instant,
            ),
          }
        : { at, missing: `No pack ${id} is kept on this device; it may have been eaten, or filled elsewhere since.` };
    }
    default:
      return undefined;
  }
}
