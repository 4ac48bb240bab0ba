import type { TamboEvent } from '#core/contract';
import type { PackState } from './state.ts';

const clean = (n: number): number => Math.round(n * 1e6) / 1e6;

/** Takes portions out; what was logged beyond the stock becomes a difference to settle. */
function take(pack: PackState, portions: number, into: 'eaten' | 'given' | 'discarded'): PackState {
  const taken = Math.min(pack.left, portions);
  return {
    ...pack,
    left: clean(pack.left - taken),
    sums: { ...pack.sums, [into]: clean(pack.sums[into] + portions), difference: clean(pack.sums.difference + portions - taken) },
  };
}

const ended = (pack: PackState, event: TamboEvent, how: NonNullable<PackState['ended']>['how'], reason?: string): PackState =>
  pack.left > 0 || pack.ended ? pack : { ...pack, ended: { how, at: event.instant, ...(reason && { reason }) } };

/**
 * One event applied to one pack. A well-formed event for a known pack is always accepted: eating more than is there clamps to nothing left.
 * @returns the pack as it stands afterwards; undefined only while it has not been filled
 */
export function applyEvent(pack: PackState | undefined, event: TamboEvent, packId: string): PackState | undefined {
  if (event.type === 'filled') {
    if (pack) return pack;
    return {
      ...event.data,
      packId,
      left: event.data.portions,
      filledAt: event.instant,
      washed: false,
      sums: { eaten: 0, discarded: 0, given: 0, lost: 0, found: 0, corrected: 0, difference: 0 },
    };
  }
  if (!pack) return undefined;
  switch (event.type) {
    case 'moved': {
      const { fridgeSince: _out, ...rest } = pack;
      return { ...rest, placeId: event.data.placeId, zoneId: event.data.zoneId };
    }
    case 'planned': {
      const { planned: _before, ...rest } = pack;
      return event.data.for ? { ...rest, planned: event.data.for } : rest;
    }
    case 'pulled':
      return { ...pack, pulled: { ...event.data, at: event.instant }, planned: event.data, fridgeSince: pack.fridgeSince ?? event.instant };
    case 'opened':
      return { ...pack, fridgeSince: event.data.at };
    case 'eaten': {
      const total = event.data.guests + event.data.shares.reduce((sum, s) => sum + s.portions, 0);
      const after = take(pack, total, 'eaten');
      const { planned: _planned, pulled: _pulled, ...rest } = after;
      const settled: PackState =
        event.data.rest === 'binned'
          ? take(rest, rest.left, 'discarded')
          : event.data.rest === 'fridge' && rest.left > 0
            ? { ...rest, fridgeSince: rest.fridgeSince ?? event.instant }
            : rest;
      return ended(settled, event, 'eaten');
    }
    case 'given':
      return ended(take(pack, event.data.portions, 'given'), event, 'given', event.data.to);
    case 'discarded':
      return ended(take(pack, event.data.portions, 'discarded'), event, 'discarded', event.data.reason);
    case 'lost':
      return ended({ ...pack, left: 0, sums: { ...pack.sums, lost: clean(pack.sums.lost + pack.left) } }, event, 'lost');
    case 'found': {
      const { ended: _ended, ...rest } = pack;
      return {
        ...rest,
        left: clean(pack.left + event.data.portions),
        sums: { ...pack.sums, found: clean(pack.sums.found + event.data.portions) },
      };
    }
    case 'corrected': {
      const { ended: _ended, ...rest } = pack;
      const next: PackState = {
        ...rest,
        left: event.data.portions,
        sums: { ...pack.sums, corrected: clean(pack.sums.corrected + event.data.portions - pack.left) },
      };
      return ended(next, event, 'corrected', event.data.reason);
    }
    case 'labelled':
      return { ...pack, labelled: event.data.how };
    case 'washed':
      return { ...pack, washed: true };
    default:
      return pack;
  }
}

/** The one order all devices agree on (DECISIONS 8). */
export const byOrder = (a: TamboEvent, b: TamboEvent): number =>
  a.instant < b.instant
    ? -1
    : a.instant > b.instant
      ? 1
      : a.device < b.device
        ? -1
        : a.device > b.device
          ? 1
          : a.counter - b.counter || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * Ids of events that are undone; undoing an undo restores its target.
 * Later undos are looked at first, so that an undone undo does nothing.
 */
export function undoneIds(sorted: readonly TamboEvent[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const event of [...sorted].reverse()) if (event.type === 'undone' && !gone.has(event.id)) gone.add(event.data.eventId);
  return gone;
}

/** The events that count, in order, each id once. */
export function effective(events: readonly TamboEvent[]): TamboEvent[] {
  const sorted = [...new Map(events.map((e) => [e.id, e])).values()].sort(byOrder);
  const gone = undoneIds(sorted);
  return sorted.filter((e) => e.type !== 'undone' && !gone.has(e.id));
}

/**
 * A pack from its events, whatever order they came in: union, sorted, folded. What sorts before the pack was filled is applied right after.
 * Law: fold(a ∪ b) = fold(b ∪ a) = fold(a ∪ b ∪ b).
 */
export function foldPack(events: readonly TamboEvent[], packId: string): PackState | undefined {
  const mine = effective(events).filter((e) => e.subjects.includes(packId));
  const filled = mine.filter((e) => e.type === 'filled');
  return [...filled, ...mine.filter((e) => e.type !== 'filled')].reduce<PackState | undefined>(
    (pack, event) => applyEvent(pack, event, packId),
    undefined,
  );
}
