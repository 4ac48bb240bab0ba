import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Draft } from './draftsSlice.ts';
import type { RefusedEntry, PendingEntry } from './outboxSlice.ts';

/** An entry before the device has given it its place in the queue. */
export type NewEntry = PendingEntry extends infer W ? (W extends PendingEntry ? Omit<W, 'seq'> : never) : never;

/** A draft as it lies on the device: as it stands, without the way there. */
export type KeptDraft = Omit<Draft, 'past' | 'future' | 'field' | 'restored'>;

interface Shape extends DBSchema {
  /** What waits to be sent, in order. */
  queue: { key: number; value: NewEntry };
  /** Sent since the household was last kept: pages without a connection need both. */
  sent: { key: number; value: PendingEntry };
  /** What the server would not take, until the cook has seen it. */
  refused: { key: number; value: RefusedEntry };
  /** The household as it was last reached, as text. */
  kept: { key: 'household'; value: { storeId: string; at: string; text: string; version?: number } };
  /** What is half made, by its key. */
  drafts: { key: string; value: KeptDraft };
}

let opened: Promise<IDBPDatabase<Shape>> | undefined;

/** What this device keeps; rejects where a browser refuses to keep anything. */
export const deviceStore = (): Promise<IDBPDatabase<Shape>> =>
  (opened ??= openDB<Shape>('tambo', 3, {
    upgrade(db) {
      const has = db.objectStoreNames;
      if (!has.contains('queue')) db.createObjectStore('queue', { keyPath: 'seq', autoIncrement: true });
      if (!has.contains('sent')) db.createObjectStore('sent', { keyPath: 'seq' });
      if (!has.contains('refused')) db.createObjectStore('refused', { keyPath: 'seq' });
      if (!has.contains('kept')) db.createObjectStore('kept');
      if (!has.contains('drafts')) db.createObjectStore('drafts');
    },
  }));
