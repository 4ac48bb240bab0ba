import type { EventData, EventOf, PackFacts, TamboEvent } from '#core/contract';
import { daysBetween } from '#core/kitchen';
import type { PackChanges, PackState } from './state.ts';

const clean = (n: number): number => Math.round(n * 1e6) / 1e6;

/** Takes portions out; what was logged beyond the stock becomes a difference to settle. */
function take(pack: PackChanges, portions: number, into: 'eaten' | 'given' | 'discarded' | 'repacked'): void {
  const taken = Math.min(pack.left, portions);
  pack.left = clean(pack.left - taken);
  pack.sums[into] = clean((pack.sums[into] ?? 0) + portions);
  pack.sums.difference = clean(pack.sums.difference + portions - taken);
}

function end(pack: PackChanges, event: TamboEvent, how: NonNullable<PackState['ended']>['how'], reason?: string): void {
  if (pack.left <= 0) pack.ended ??= { how, at: event.instant, ...(reason && { reason }) };
}

/** Facts that stand on a label. */
const onLabel: readonly (keyof PackFacts)[] = [
  'name',
  'kind',
  'portions',
  'massG',
  'volumeMl',
  'made',
  'bestBy',
  'allergens',
  'containerId',
];

/** Counted again, or entered wrong: what is said now stands over what was said before. */
function correct(pack: PackChanges, event: EventOf<'corrected'>): void {
  const { portions, is, reason } = event.data;
  if (portions !== undefined) {
    pack.ended = undefined;
    pack.sums.corrected = clean(pack.sums.corrected + portions - pack.left);
    pack.left = portions;
    end(pack, event, 'corrected', reason);
  }
  if (!is) return;
  pack.facts = { ...pack.facts, ...is };
  if (pack.labelled && onLabel.some((key) => key in is)) pack.labelOld = true;
}

/** Brings a pack forward by one event, in place. Only the functions below call it, on changes of their own. */
function advance(pack: PackChanges, event: TamboEvent): void {
  switch (event.type) {
    case 'moved':
      pack.placeId = event.data.placeId;
      pack.zoneId = event.data.zoneId;
      pack.fridgeSince = undefined;
      pack.thawSince = undefined;
      break;
    case 'planned':
      if (event.data.for) pack.planned = event.data.for;
      else pack.planned = undefined;
      break;
    case 'pulled':
      pack.pulled = { ...event.data, at: event.instant };
      pack.planned = event.data;
      pack.thawSince ??= event.instant;
      pack.fridgeSince ??= event.instant;
      break;
    case 'opened':
      pack.fridgeSince = event.data.at;
      pack.thawSince = undefined;
      break;
    case 'eaten':
      take(pack, eatenPortions(event.data), 'eaten');
      pack.planned = undefined;
      pack.pulled = undefined;
      if (event.data.rest === 'binned') take(pack, pack.left, 'discarded');
      else if (event.data.rest === 'fridge' && pack.left > 0) pack.fridgeSince ??= event.instant;
      end(pack, event, 'eaten');
      break;
    case 'given':
      take(pack, event.data.portions, 'given');
      end(pack, event, 'given', event.data.to);
      break;
    case 'discarded':
      take(pack, event.data.portions, 'discarded');
      end(pack, event, 'discarded', event.data.reason);
      break;
    case 'lost':
      pack.sums.lost = clean(pack.sums.lost + pack.left);
      pack.left = 0;
      end(pack, event, 'lost');
      break;
    case 'found':
      pack.ended = undefined;
      pack.left = clean(pack.left + event.data.portions);
      pack.sums.found = clean(pack.sums.found + event.data.portions);
      break;
    case 'corrected':
      correct(pack, event);
      break;
    case 'repacked':
      take(pack, event.data.portions, 'repacked');
      end(pack, event, 'repacked');
      break;
    case 'labelled':
      pack.labelled = event.data.how;
      pack.labelSays = event.data.says;
      pack.labelOld = undefined;
      break;
    case 'washed':
      pack.washed = true;
      break;
    default:
      break;
  }
}

const untouched = (event: EventOf<'filled'>): PackChanges => ({
  seen: event.id,
  left: event.data.portions,
  filledAt: event.instant,
  washed: false,
  sums: { eaten: 0, discarded: 0, given: 0, lost: 0, found: 0, corrected: 0, difference: 0 },
});

/**
 * One event applied to one pack. A well-formed event for a known pack is always accepted: eating more than is there clamps to nothing left.
 * @returns the pack as it stands afterwards, a new object; undefined only while it has not been filled
 * @example applyEvent(tub7, eaten, 'tub7')?.left // 1 of 2
 */
export function applyEvent(pack: PackState | undefined, event: TamboEvent, packId: string): PackState | undefined {
  if (event.type === 'filled') return pack ?? wholePack(event.data, untouched(event), packId);
  if (!pack) return undefined;
  const next = { ...pack, sums: { ...pack.sums } };
  advance(next, event);
  next.seen = event.id;
  return event.type === 'corrected' ? withFacts(next, event.data.is) : next;
}

/** The one order all devices agree on (DECISIONS 8). @example events.toSorted(byOrder) // by instant, device and counter */
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

/** Portions that were eaten at one meal: by the household and by guests. @example eatenPortions({ shares: [{ eaterId: 'osk', portions: 1 }], guests: 2 }) // 3 */
export const eatenPortions = ({ shares, guests }: Pick<EventData<'eaten'>, 'shares' | 'guests'>): number =>
  guests + shares.reduce((sum, s) => sum + s.portions, 0);

/**
 * Ids of events that are undone; undoing an undo restores its target.
 * Later undos are looked at first, so that an undone undo does nothing.
 * @example undoneIds([eaten, takenBack]) // Set { eaten.id }
 */
export function undoneIds(sorted: readonly TamboEvent[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const event of [...sorted].reverse()) if (event.type === 'undone' && !gone.has(event.id)) gone.add(event.data.eventId);
  return gone;
}

/** Whether a list already stands in order, each id once: most do, and need no sorting. */
const inOrder = (events: readonly TamboEvent[]): boolean => events.every((e, i) => i === 0 || byOrder(events[i - 1] ?? e, e) < 0);

/** The events that count, in order, each id once. @example effective([eaten, takenBack]) // [] */
export function effective(events: readonly TamboEvent[]): readonly TamboEvent[] {
  const sorted = inOrder(events) ? events : [...new Map(events.map((e) => [e.id, e])).values()].sort(byOrder);
  if (!sorted.some((e) => e.type === 'undone')) return sorted;
  const gone = undoneIds(sorted);
  return sorted.filter((e) => e.type !== 'undone' && !gone.has(e.id));
}

/**
 * The newest event that speaks of a pack or session, taken back or not.
 * @example newestOf(events, 'tub7') // the newest event's id
 */
export function newestOf(events: readonly TamboEvent[], subject: string): string | undefined {
  let newest: TamboEvent | undefined;
  for (const e of events) if (e.subjects.includes(subject) && (!newest || byOrder(newest, e) < 0)) newest = e;
  return newest?.id;
}

/** A pack as two halves: the event that filled it, and what the others made of it. */
export interface FoldedPack {
  filled: EventOf<'filled'>;
  changes: PackChanges;
}

/**
 * A pack from its events, whatever order they came in: union, sorted, folded. What sorts before the pack was filled is applied right after.
 * Of what it was filled with, only the portions are asked for.
 * Law: fold(a ∪ b) = fold(b ∪ a) = fold(a ∪ b ∪ b).
 * @example foldChanges(events, 'tub7').left // 1
 */
export function foldChanges(events: readonly TamboEvent[], packId: string): FoldedPack | undefined {
  const mine = effective(events).filter((e) => e.subjects.includes(packId));
  const filled = mine.find((e) => e.type === 'filled');
  if (!filled) return undefined;
  const changes = untouched(filled);
  for (const event of mine) advance(changes, event);
  changes.seen = newestOf(events, packId) ?? filled.id;
  return { filled, changes };
}

/** Counted before dates could be unknown, such packs carry a span of a year: nobody knew (decision 45). */
const unknownSpanDays = 365;

/** What a pack was filled with, as it is understood today. */
function understood(filled: EventOf<'filled'>['data']): EventOf<'filled'>['data'] {
  const { made, bestBy: _bestBy, limit: _limit, ...rest } = filled;
  return made && daysBetween(made.earliest, made.latest) >= unknownSpanDays ? { ...rest, foundOn: made.latest } : filled;
}

/**
 * What a pack was filled with, with what was corrected of it since.
 * @example withFacts(filled, { name: 'Leek soup', bestBy: null }) // of that name, and nobody knows how long it keeps
 */
export function withFacts<T extends Partial<EventData<'filled'>>>(filled: T, facts: PackFacts | undefined): T {
  if (!facts) return filled;
  const whole: Record<string, unknown> = { ...filled };
  for (const [key, value] of Object.entries(facts)) {
    if (value === null) delete whole[key];
    else if (value !== undefined) whole[key] = value;
  }
  return whole as T;
}

/** A whole pack from its two halves. @example wholePack(filled, changes, 'tub7') // what it was filled with and what became of it */
export const wholePack = (filled: EventOf<'filled'>['data'], changes: PackChanges, packId: string): PackState => ({
  ...withFacts(understood(filled), changes.facts),
  ...changes,
  packId,
});

/** A whole pack from its events (see {@link foldChanges}). @example foldPack(events, 'tub7')?.left // 1 */
export function foldPack(events: readonly TamboEvent[], packId: string): PackState | undefined {
  const folded = foldChanges(events, packId);
  return folded && wholePack(folded.filled.data, folded.changes, packId);
}
