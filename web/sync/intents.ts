import type { EventData, EventType } from '#core/contract';
import { intentId } from '#core/contract';
import { device } from './device.ts';

/** What this page has done already, so that a second tap of the same intent does nothing (decision 46). */

/** Events that set something, where another value is another intent; all others count, and their value is no part of what was meant. */
const setters: ReadonlySet<EventType> = new Set([
  'moved',
  'planned',
  'pulled',
  'labelled',
  'weighed',
  'trimmed',
  'taskHanded',
  'corrected',
  'repacked',
  'ticked',
  'invited',
  'atHome',
  'ateOtherwise',
  'rated',
]);

interface Act {
  type: EventType;
  subjects: readonly string[];
  data: EventData<EventType>;
  /** The newest event the page had seen of its subject. */
  seen: string;
}

/** What an act is about beyond its subject: a task, a line of the list, a batch. */
const about = (data: Act['data']): string => {
  const d = data as { taskId?: string; key?: string; batchId?: string; eventId?: string; ingredientId?: string };
  return d.taskId ?? d.key ?? d.batchId ?? d.eventId ?? d.ingredientId ?? '';
};

/** What was undone here and the page has not been told of yet, by subject. */
const undoneHere = new Map<string, string>();

/** The id of an act's event. */
export function actId(act: Act): string {
  const after = act.subjects.map((s) => undoneHere.get(s)).find((id) => id !== undefined && id !== act.seen);
  const value = setters.has(act.type) ? JSON.stringify(act.data) : '';
  return intentId(device, act.type, act.subjects.join(' '), about(act.data), act.seen, after ?? '', value);
}

/** An undo made here: what is done next on the same subjects is another intent, though the page still shows the state before it. */
export function noteUndone(subjects: readonly string[], undoId: string): void {
  for (const s of subjects) undoneHere.set(s, undoId);
}

/** Enough for an evening's taps. */
const mostRemembered = 2000;
const done = new Map<string, string>();

const plain = (data: unknown): string =>
  JSON.stringify(data, (key, value: unknown) => (key === 'code' || key === 'actualMin' ? undefined : value));

/** Whether an act was done here already: no, the same again, or otherwise. */
export function doneBefore(id: string, data: unknown): 'no' | 'same' | 'otherwise' {
  const before = done.get(id);
  return before === undefined ? 'no' : before === plain(data) ? 'same' : 'otherwise';
}

export function noteDone(id: string, data: unknown): void {
  if (done.size >= mostRemembered) done.delete(done.keys().next().value ?? '');
  done.set(id, plain(data));
}

/** The server refused it: it may be tried again. */
export const forgetDone = (id: string): void => void done.delete(id);

interface WriteSeen {
  body: string;
  version: string;
  writeId: string;
  n: number;
}
const writes = new Map<string, WriteSeen>();

/** Moments of writing differ from tap to tap and are no part of what is meant. */
const meant = (changes: unknown): string => JSON.stringify(changes, (key, value: unknown) => (key === 'madeAt' ? undefined : value));

/**
 * The id of a write of documents: the same documents written the same way, from the same state, is the same write.
 * @param version how far the household's documents had come as the page shows them
 */
export function writeIntent(changes: readonly { table: string; id: string }[], version: string): { writeId: string; again: boolean } {
  const key = changes.map((c) => `${c.table}:${c.id}`).join(' ');
  const body = meant(changes);
  const last = writes.get(key);
  if (last && last.body === body && last.version === version) return { writeId: last.writeId, again: true };
  // there and back again is meant each time
  const n = last && last.version === version ? last.n + 1 : 0;
  const writeId = intentId(device, 'write', key, body, version, String(n));
  writes.set(key, { body, version, writeId, n });
  return { writeId, again: false };
}
