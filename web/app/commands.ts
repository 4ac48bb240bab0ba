import { useMemo } from 'react';
import type { EventData, EventType, TamboEvent, WritableOf, WritableTable } from '#core/contract';
import { device, newId, stampEvent, stampInstant } from './device.ts';
import { enqueue } from './outbox.ts';
import { useAppDispatch } from './store.ts';
import { shown, type UndoWay } from './toastSlice.ts';

/** An event to be logged: type, what it speaks of, data. */
export type NewEvent = { [T in EventType]: { type: T; subjects: string[]; data: EventData<T> } }[EventType];
export type NewChange = { [T in WritableTable]: { table: T; id: string; data: WritableOf<T> | null } }[WritableTable];

export interface Commands {
  /** Logs events; the toast says so and offers undo. */
  log(events: NewEvent[], says: string): Promise<TamboEvent[]>;
  /** Writes documents as one tap. */
  write(changes: NewChange[], says: string): Promise<string>;
  undo(way: UndoWay): Promise<void>;
}

/** What a tap does: through the queue, with a toast that can take it back. */
export function useCommands(): Commands {
  const dispatch = useAppDispatch();
  return useMemo(
    () => ({
      async log(events, says) {
        const stamped = events.map((e) => stampEvent(e.type, e.subjects, e.data as never));
        dispatch(shown({ text: says, undo: { kind: 'events', events: stamped.map((e) => ({ id: e.id, subjects: e.subjects })) } }));
        await enqueue(stamped.map((body) => ({ kind: 'event' as const, label: says, body })));
        return stamped;
      },
      async write(changes, says) {
        const writeId = newId();
        dispatch(shown({ text: says, undo: { kind: 'write', writeId } }));
        await enqueue([
          { kind: 'write', label: says, body: { writeId, device, instant: stampInstant(), label: says.slice(0, 120), changes } },
        ]);
        return writeId;
      },
      async undo(way) {
        if (way.kind === 'events') {
          const stamped = way.events.map((e) => stampEvent('undone', e.subjects, { eventId: e.id }));
          await enqueue(stamped.map((body) => ({ kind: 'event' as const, label: 'Undo', body })));
        } else {
          await enqueue([
            { kind: 'undo', label: 'Undo', body: { writeId: newId(), device, instant: stampInstant(), undoes: way.writeId } },
          ]);
        }
        dispatch(shown({ text: 'Taken back' }));
      },
    }),
    [dispatch],
  );
}
