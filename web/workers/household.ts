import type { Records } from '#core/queries';
import type { World } from '#core/session';
import { openSnapshot, snapshotVersion, withPending, type PendingEntries, type Snapshot } from '#core/sync';
import { deviceStore } from '../sync/deviceStore.ts';

/** A household as a worker works with it. */
interface Household {
  /** How far the household had come. */
  asOf: string;
  snapshot: Snapshot;
}

/** The household that this device cached. */
async function cached(): Promise<Snapshot | undefined> {
  const row = await deviceStore().then(
    (db) => db.get('kept', 'household'),
    () => undefined,
  );
  return row?.version === snapshotVersion ? (JSON.parse(row.text) as Snapshot) : undefined;
}

const same = (a: PendingEntries, b: PendingEntries): boolean =>
  a.events.length === b.events.length &&
  a.writes.length === b.writes.length &&
  a.events.every((e, i) => e.id === b.events[i]?.id) &&
  a.writes.every((w, i) => w.writeId === b.writes[i]?.writeId);

/**
 * A household that is brought once for each state it comes to: the cached one when it has come as far, else the server's, else whatever there is.
 * @returns opens it with what waits on this device laid over it; undefined when no household can be had
 */
export function householdHere(): (asOf: string, pending: PendingEntries) => Promise<{ world: World; records: Records } | undefined> {
  let household: Household | undefined;
  let opened: { household: Household; pending: PendingEntries; world: World; records: Records } | undefined;
  const bring = async (asOf: string): Promise<Household | undefined> => {
    const here = await cached();
    if (here && `${here.changes} ${here.logged}` === asOf) return { asOf, snapshot: here };
    try {
      const res = await fetch('/api/snapshot');
      if (res.ok) return { asOf, snapshot: (await res.json()) as Snapshot };
    } catch {
      // no connection: what is cached will do
    }
    return here ? { asOf, snapshot: here } : household;
  };
  return async (asOf, pending) => {
    if (household?.asOf !== asOf) household = await bring(asOf);
    if (!household) return undefined;
    if (opened?.household !== household || !same(opened.pending, pending))
      opened = { household, pending, ...openSnapshot(withPending(household.snapshot, pending)) };
    return opened;
  };
}
