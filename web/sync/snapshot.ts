import { snapshotVersion, type Snapshot, type PendingEntries } from '#core/sync';
import { now } from './clock.ts';
import { stockCodes } from './codes.ts';
import { deviceStore } from './deviceStore.ts';
import type { PendingEntry } from './outboxSlice.ts';

/** The household kept on this device, and what was sent since it was kept. */

let sentSince: PendingEntry[] = [];
let parsed: { text: string; snapshot: Snapshot } | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Long enough for a burst of entries, short enough for a walk to the shop. */
const quietMs = 1500;

/** Notes what the server has taken, until the household is kept anew. */
export function noteSent(entries: readonly PendingEntry[]): void {
  sentSince = [...sentSince, ...entries];
}

/** Reads what was sent before this page was opened. */
export async function loadSent(): Promise<void> {
  sentSince = [...(await (await deviceStore()).getAll('sent')), ...sentSince];
}

async function keep(): Promise<void> {
  const before = sentSince.map((w) => w.seq);
  try {
    const res = await fetch('/api/snapshot');
    if (!res.ok) return;
    const text = await res.text();
    const storeId = /"storeId":"([^"]+)"/.exec(text)?.[1] ?? '';
    const db = await deviceStore();
    const last = await db.get('kept', 'household');
    // another household now lives at this address: its answers must not be mixed with the old one's
    if (last && last.storeId !== storeId) await caches.delete('tambo-answers').catch(() => false);
    const tx = db.transaction(['kept', 'sent'], 'readwrite');
    await tx.objectStore('kept').put({ storeId, at: now(), text, version: snapshotVersion }, 'household');
    for (const seq of before) await tx.objectStore('sent').delete(seq);
    await tx.done;
    sentSince = sentSince.filter((w) => !before.includes(w.seq));
    await stockCodes(storeId);
    // lists that are looked at without a connection, kept by the service worker as they come
    await Promise.all(['/api/recipes', '/api/find'].map((path) => fetch(path)));
  } catch {
    // no connection or no room: what was kept before stays
  }
}

/** Keeps the household anew once things are quiet. */
export function cacheSoon(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void keep(), quietMs);
}

/** The household as this device last heard it; undefined when it never has. */
export async function cachedSnapshot(): Promise<{ snapshot: Snapshot; at: string } | undefined> {
  const row = await deviceStore()
    .then((db) => db.get('kept', 'household'))
    .catch(() => undefined);
  // kept by an older page: it is kept anew at the next connection, and what waits stays in its queue
  if (row?.version !== snapshotVersion) return undefined;
  if (parsed?.text !== row.text) parsed = { text: row.text, snapshot: JSON.parse(row.text) as Snapshot };
  return { snapshot: parsed.snapshot, at: row.at };
}

/** What the kept household does not know yet: sent since, and still waiting; a write that is taken back here is left out. */
export function since(pending: readonly PendingEntry[]): PendingEntries {
  const all = [...sentSince, ...pending.filter((w) => !sentSince.some((s) => s.seq === w.seq))];
  const undone = new Set(all.flatMap((w) => (w.kind === 'undo' ? [w.body.undoes] : [])));
  return {
    events: all.flatMap((w) => (w.kind === 'event' ? [w.body] : [])),
    writes: all.flatMap((w) => (w.kind === 'write' && !undone.has(w.body.writeId) ? [w.body] : [])),
  };
}
