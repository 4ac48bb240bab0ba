import { eventSchema, refusals, streamOf, upcast, versions, type Instant, type Refusal, type TamboEvent } from '#core/contract';
import { isCode } from '#core/pack';
import { documentById, referenceMoved, type Db } from '../db/index.ts';
import { eventFrom, project, settleLate } from './project.ts';
import { statements } from './statements.ts';

export type EventAnswer = { id: string; status: 'kept' | 'known' } | { id: string; status: 'refused'; refusals: Refusal[] };

const packTypes = new Set(
  Object.entries(streamOf)
    .filter(([type, stream]) => (stream === 'pack' || stream === 'label') && type !== 'filled')
    .map(([type]) => type),
);

/** What the schema cannot see: that the code is real and free, that the pack, session or target is known. */
function unknownThings(db: Db, event: TamboEvent): Refusal[] {
  const { event: eventById, packId, packIdByCode } = statements(db);
  if (event.type === 'filled') {
    if (!isCode(event.data.code)) return [{ path: 'data.code', expected: 'a code whose check sign fits', got: event.data.code }];
    const other = packIdByCode.get({ code: event.data.code });
    return other && other.packId !== event.subjects[0]
      ? [{ path: 'data.code', expected: 'a code that no other pack has', got: event.data.code }]
      : [];
  }
  if (event.type === 'undone')
    return eventById.get({ id: event.data.eventId })
      ? []
      : [{ path: 'data.eventId', expected: 'an event that was logged', got: event.data.eventId }];
  if (packTypes.has(event.type)) {
    // food goes out of a pack only into packs that are there
    const into = event.type === 'repacked' ? event.data.into.findIndex((id) => !packId.get({ packId: id })) : -1;
    if (event.type === 'repacked' && into >= 0)
      return [{ path: `data.into.${into}`, expected: 'a pack that has been filled', got: event.data.into[into] ?? '' }];
    const missing = event.subjects.findIndex((id) => !packId.get({ packId: id }));
    return missing < 0
      ? []
      : [{ path: `subjects.${missing}`, expected: 'a pack that has been filled', got: event.subjects[missing] ?? '' }];
  }
  // what was peeled belongs to an ingredient, in a session or not
  if (event.type === 'trimmed' || event.type === 'invited' || event.type === 'ateOtherwise') return [];
  if (event.type === 'rated') {
    const { recipeId, eaterId } = event.data;
    if (!documentById(db, 'recipe', recipeId)) return [{ path: 'data.recipeId', expected: 'a recipe of this household', got: recipeId }];
    return documentById(db, 'eater', eaterId) ? [] : [{ path: 'data.eaterId', expected: 'somebody of this household', got: eaterId }];
  }
  if (event.type === 'atHome') {
    const eaterId = event.subjects[0] ?? '';
    return documentById(db, 'eater', eaterId) ? [] : [{ path: 'subjects.0', expected: 'somebody of this household', got: eaterId }];
  }
  const sessionId = event.subjects[0] ?? '';
  return documentById(db, 'session', sessionId) ? [] : [{ path: 'subjects.0', expected: 'a session that was planned', got: sessionId }];
}

/** What a device draws or measures itself, and nobody means. */
const unmeant: ReadonlySet<string> = new Set(['code', 'actualMin']);
/** What an event says, whatever the order of its fields (decision 46). */
const said = (e: TamboEvent): string =>
  JSON.stringify([e.type, e.subjects, e.data], (key, value: unknown) =>
    unmeant.has(key)
      ? undefined
      : isPlain(value)
        ? Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1)))
        : value,
  );
const isPlain = (value: unknown): value is object => typeof value === 'object' && value !== null && !Array.isArray(value);
const meansTheSame = (a: TamboEvent, b: TamboEvent): boolean => said(a) === said(b);

/** An entry as it came, brought up from the version of the page that sent it. */
function readNow(value: unknown): ReturnType<typeof eventSchema.safeParse> {
  const version = typeof value === 'object' && value !== null && 'version' in value ? value.version : undefined;
  if (typeof version !== 'number' || version >= versions.event) return eventSchema.safeParse(value);
  return eventSchema.safeParse({ ...(upcast('event', version, value) as object), version: versions.event });
}

/** Keeps one event inside a transaction of the caller's. What is refused has written nothing. */
function acceptOne(db: Db, value: unknown, receivedAt: Instant, late: Set<string>): EventAnswer {
  const parsed = readNow(value);
  const id = typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string' ? value.id : '';
  if (!parsed.success) return { id, status: 'refused', refusals: refusals(parsed.error, value) };
  const event = parsed.data;
  const { event: eventById, addEvent, addSubject } = statements(db);
  const before = eventById.get({ id: event.id });
  if (before)
    return meansTheSame(eventFrom(before), event)
      ? { id: event.id, status: 'known' }
      : {
          id: event.id,
          status: 'refused',
          refusals: [{ path: 'id', expected: 'an id of its own: this was logged with other data', got: event.id }],
        };
  const unknown = unknownThings(db, event);
  if (unknown.length > 0) return { id: event.id, status: 'refused', refusals: unknown };
  addEvent.run({ ...event, stream: streamOf[event.type], receivedAt });
  for (const subject of new Set(event.subjects)) addSubject.run({ subject, eventId: event.id });
  project(db, event, late);
  if (event.type === 'trimmed' || event.type === 'undone') referenceMoved();
  return { id: event.id, status: 'kept' };
}

/**
 * Keeps a list of events, one after the other, and brings the stock up to them in one transaction: all are on the disk before the
 * first is answered, with one wait for it. Sending them again changes nothing.
 * @returns for each: kept, known (it had come before), or refused with path, expected, got; a refused event leaves no trace
 */
export const acceptEvents = (db: Db, values: readonly unknown[], receivedAt: Instant): EventAnswer[] =>
  // the prepared statements belong to the database itself and run in its transaction
  db.transaction(() => {
    const late = new Set<string>();
    const answers = values.map((value) => acceptOne(db, value, receivedAt, late));
    settleLate(db, late);
    return answers;
  });

/** Keeps one event (see {@link acceptEvents}). */
export const acceptEvent = (db: Db, value: unknown, receivedAt: Instant): EventAnswer =>
  acceptEvents(db, [value], receivedAt)[0] ?? { id: '', status: 'refused', refusals: [] };
