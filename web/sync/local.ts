import { readCode } from '#core/pack';
import { type SessionView, type World } from '#core/session';
import {
  countAnswer,
  eatAnswer,
  frameAnswer,
  isSessionPart,
  kitchenAnswer,
  labelsAnswer,
  packAnswer,
  sessionPart,
  sessionsAnswer,
  storeAnswer,
  todayAnswer,
  todayOf,
  viewOf,
  type Records,
} from '#core/queries';
import { withPending, openSnapshot } from '#core/sync';
import type { TamboEvent } from '#core/contract';
import { now } from './clock.ts';
import { cachedSnapshot, since } from './snapshot.ts';
import type { PendingEntry } from './outboxSlice.ts';

/** An answer made on this device, or why there is none; undefined when this address cannot be answered here. */
export type LocalAnswer = { at: string } & ({ data: unknown } | { missing: string });

let made: { pending: readonly PendingEntry[]; at: string; world: World; records: Records; events: readonly TamboEvent[] } | undefined;

async function household(pending: readonly PendingEntry[]) {
  const kept = await cachedSnapshot();
  if (!kept) return undefined;
  if (made?.pending !== pending || made.at !== kept.at) {
    const entries = since(pending);
    made = { pending, at: kept.at, events: entries.events, ...openSnapshot(withPending(kept.snapshot, entries)) };
  }
  return made;
}

const sessionPartOf = (view: SessionView, part: string | undefined): unknown =>
  part !== undefined && isSessionPart(part) ? sessionPart(view, part) : view;

/** A page's data from the household kept here and what waits, by the same functions as the server's. */
export async function localAnswer(path: string, pending: readonly PendingEntry[]): Promise<LocalAnswer | undefined> {
  const found = await household(pending);
  if (!found) return undefined;
  const { world, records, at, events } = found;
  const instant = now();
  const [, station = '', rest, part] = /^\/([a-z]+)(?:\/([^?/]+))?(?:\/([a-z]+))?/.exec(path) ?? [];
  const id = decodeURIComponent(rest ?? '');
  const session = records.sessions().find((s) => s.id === id);
  switch (station) {
    case 'frame':
      return { at, data: frameAnswer(world, records, instant, false) };
    case 'today':
      return { at, data: todayAnswer(world, records, instant) };
    case 'eat':
      return { at, data: eatAnswer(world, records, instant) };
    case 'store':
      return { at, data: storeAnswer(world, records, instant) };
    case 'kitchen':
      return { at, data: kitchenAnswer(world, records, instant) };
    case 'count':
      return { at, data: countAnswer(world, records, instant) };
    case 'sessions':
      if (!id) return { at, data: sessionsAnswer(world, records, todayOf(world, instant)) };
      if (!session) return { at, missing: 'This session is not kept on this device.' };
      return { at, data: sessionPartOf(viewOf(session, world, records, instant), part) };
    case 'labels':
      return session
        ? { at, data: labelsAnswer(session, world, records, instant) }
        : { at, missing: 'This session is not kept on this device.' };
    case 'packs': {
      const packs = [...world.packs, ...records.sessions().flatMap((s) => records.packsOf(s.id))];
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
              events,
            ),
          }
        : { at, missing: `No pack ${id} is kept on this device; it may have been eaten, or filled elsewhere since.` };
    }
    default:
      return undefined;
  }
}
