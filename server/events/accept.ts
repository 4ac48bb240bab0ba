import { eq } from 'drizzle-orm';
import { eventSchema, refusals, streamOf, type Instant, type Refusal, type TamboEvent } from '#core/contract';
import { isCode } from '#core/pack';
import { documentById, schema, type Db } from '../db/index.ts';
import { project } from './project.ts';

export type EventAnswer = { id: string; status: 'kept' | 'known' } | { id: string; status: 'refused'; refusals: Refusal[] };

const packTypes = new Set(
  Object.entries(streamOf)
    .filter(([type, stream]) => (stream === 'pack' || stream === 'label') && type !== 'filled')
    .map(([type]) => type),
);

/** What the schema cannot see: that the code is real and free, that the pack, session or target is known. */
function unknownThings(db: Db, event: TamboEvent): Refusal[] {
  if (event.type === 'filled') {
    if (!isCode(event.data.code)) return [{ path: 'data.code', expected: 'a code whose check sign fits', got: event.data.code }];
    const other = db
      .select({ packId: schema.packState.packId })
      .from(schema.packState)
      .where(eq(schema.packState.code, event.data.code))
      .get();
    return other && other.packId !== event.subjects[0]
      ? [{ path: 'data.code', expected: 'a code that no other pack has', got: event.data.code }]
      : [];
  }
  if (event.type === 'undone') {
    const target = db.select({ id: schema.event.id }).from(schema.event).where(eq(schema.event.id, event.data.eventId)).get();
    return target ? [] : [{ path: 'data.eventId', expected: 'an event that was logged', got: event.data.eventId }];
  }
  if (packTypes.has(event.type)) {
    const missing = event.subjects.findIndex(
      (id) => !db.select({ id: schema.packState.packId }).from(schema.packState).where(eq(schema.packState.packId, id)).get(),
    );
    return missing < 0
      ? []
      : [{ path: `subjects.${missing}`, expected: 'a pack that has been filled', got: event.subjects[missing] ?? '' }];
  }
  const sessionId = event.subjects[0] ?? '';
  return documentById(db, 'session', sessionId) ? [] : [{ path: 'subjects.0', expected: 'a session that was planned', got: sessionId }];
}

/**
 * Keeps one event and brings the stock up to it, in one transaction; sending it again changes nothing.
 * @returns kept, known (it had come before), or refused with path, expected, got; a refused event leaves no trace
 */
export function acceptEvent(db: Db, value: unknown, receivedAt: Instant): EventAnswer {
  const parsed = eventSchema.safeParse(value);
  const id = typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string' ? value.id : '';
  if (!parsed.success) return { id, status: 'refused', refusals: refusals(parsed.error, value) };
  const event = parsed.data;
  return db.transaction((tx): EventAnswer => {
    if (tx.select({ id: schema.event.id }).from(schema.event).where(eq(schema.event.id, event.id)).get())
      return { id: event.id, status: 'known' };
    const unknown = unknownThings(tx, event);
    if (unknown.length > 0) return { id: event.id, status: 'refused', refusals: unknown };
    const stream = streamOf[event.type];
    tx.insert(schema.event)
      .values({
        id: event.id,
        stream,
        type: event.type,
        subjects: event.subjects,
        instant: event.instant,
        device: event.device,
        counter: event.counter,
        version: event.version,
        data: event.data,
        receivedAt,
      })
      .run();
    for (const subject of new Set(event.subjects)) tx.insert(schema.eventSubject).values({ subject, eventId: event.id }).run();
    project(tx, event);
    return { id: event.id, status: 'kept' };
  });
}

/** Keeps a list of events, one after the other, and answers for each: all are on the disk before the first is answered, with one wait for it. */
export const acceptEvents = (db: Db, values: readonly unknown[], receivedAt: Instant): EventAnswer[] =>
  db.transaction((tx) => values.map((value) => acceptEvent(tx, value, receivedAt)));
