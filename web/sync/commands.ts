import { useMemo } from 'react';
import { intentId, stateOf, versions, type TamboEvent, type WritableOf, type WritableTable, type WriteRequest } from '#core/contract';
import { again, takeBack, type Act } from '#core/commands';
import { api } from './api.ts';
import { device, newId, stampAct, stampInstant } from './device.ts';
import { actId, doneBefore, noteDone, noteUndone, writeIntent } from './intents.ts';
import { draftRestored } from './draftsSlice.ts';
import { enqueue } from './outbox.ts';
import { useAppDispatch, useAppState, type RootState } from './store.ts';
import { shown, type UndoWay } from './toastSlice.ts';

/** A document as it is to be, null to delete it, and as the page had it before: null for a new one (decision 58). */
export type NewChange = {
  [T in WritableTable]: { table: T; id: string; data: WritableOf<T> | null; was: WritableOf<T> | null };
}[WritableTable];

const asSent = ({ was, ...change }: NewChange): WriteRequest['changes'][number] => ({
  ...change,
  version: versions[change.table],
  from: was && stateOf(was),
});

export interface Commands {
  /** Logs events; the toast says so and offers undo. */
  log(acts: readonly Act[], says: string): Promise<TamboEvent[]>;
  /** Writes documents as one tap. */
  write(changes: NewChange[], says: string, more?: Pick<WriteRequest, 'settles'>): Promise<string>;
  undo(way: UndoWay): Promise<void>;
}

/** How far the household's documents had come as the pages show them. */
const documentsSeen = (state: RootState): string => api.endpoints.frame.select()(state).data?.version ?? '';

/** What a tap does: through the queue, with a toast that can take it back. */
export function useCommands(): Commands {
  const dispatch = useAppDispatch();
  const getState = useAppState();
  return useMemo(
    () => ({
      async log(events, says) {
        const acts = events.map((e) => ({ e, id: e.seen === again ? newId() : actId({ ...e, seen: e.seen }) }));
        if (acts.length > 0 && acts.every(({ e, id }) => doneBefore(id, e.data) === 'same')) return [];
        if (acts.some(({ e, id }) => doneBefore(id, e.data) !== 'no' && e.seen !== again)) {
          dispatch(shown({ text: 'That was logged a moment ago. When it shows, change it or undo it.' }));
          return [];
        }
        for (const { e, id } of acts) noteDone(id, e.data);
        const stamped = acts.map(({ e, id }) => stampAct(e, id));
        dispatch(shown({ text: says, undo: { kind: 'events', events: stamped.map((e) => ({ id: e.id, subjects: e.subjects })) } }));
        await enqueue(stamped.map((body) => ({ kind: 'event' as const, label: says, body })));
        return stamped;
      },
      async write(changes, says, more) {
        const { writeId, again: twice } = writeIntent(
          changes.map(({ table, id, data }) => ({ table, id, data })),
          documentsSeen(getState()),
        );
        if (twice) return writeId;
        dispatch(shown({ text: says, undo: { kind: 'write', writeId } }));
        await enqueue([
          {
            kind: 'write',
            label: says,
            body: { writeId, device, instant: stampInstant(), label: says.slice(0, 120), changes: changes.map(asSent), ...more },
          },
        ]);
        return writeId;
      },
      async undo(way) {
        if (way.kind === 'draft') dispatch(draftRestored({ key: way.key, draft: way.draft }));
        else if (way.kind === 'events') {
          const made = way.events.map((e) => ({ ...e, undo: intentId(device, 'undone', e.id, e.seen ?? '') }));
          const acts = made.filter((e) => doneBefore(e.undo, { eventId: e.id }) === 'no');
          if (acts.length === 0) return;
          const stamped = acts.map((e) => {
            noteDone(e.undo, { eventId: e.id });
            noteUndone(e.subjects, e.undo);
            return stampAct(takeBack(e), e.undo);
          });
          await enqueue(stamped.map((body) => ({ kind: 'event' as const, label: 'Undo', body })));
        } else {
          await enqueue([
            {
              kind: 'undo',
              label: 'Undo',
              body: {
                writeId: intentId(device, 'undo', way.writeId, way.seen ?? ''),
                device,
                instant: stampInstant(),
                undoes: way.writeId,
              },
            },
          ]);
        }
        dispatch(shown({ text: 'Taken back' }));
      },
    }),
    [dispatch, getState],
  );
}
