import * as Comlink from 'comlink';
import type { Instant, Session } from '#core/contract';
import { sessionPart, viewOf, type Records, type SessionParts } from '#core/queries';
import type { World } from '#core/session';
import { openSnapshot, snapshotVersion, withPending, type PendingEntries, type Snapshot } from '#core/sync';
import { deviceStore } from '../sync/deviceStore.ts';

/** What a plan is checked against. */
interface Household {
  /** How far the household had come. */
  asOf: string;
  snapshot: Snapshot;
}

let household: Household | undefined;
let opened: { household: Household; pending: PendingEntries; world: World; records: Records } | undefined;

/** The household that this device cached. */
async function cached(): Promise<Snapshot | undefined> {
  const row = await deviceStore().then(
    (db) => db.get('kept', 'household'),
    () => undefined,
  );
  return row?.version === snapshotVersion ? (JSON.parse(row.text) as Snapshot) : undefined;
}

/** The household as it stands: the cached one when it has come as far, else the server's, else whatever there is. */
async function bring(asOf: string): Promise<Household | undefined> {
  const here = await cached();
  if (here && `${here.changes} ${here.logged}` === asOf) return { asOf, snapshot: here };
  try {
    const res = await fetch('/api/snapshot');
    if (res.ok) return { asOf, snapshot: (await res.json()) as Snapshot };
  } catch {
    // no connection: what is cached will do
  }
  return here ? { asOf, snapshot: here } : household;
}

const same = (a: PendingEntries, b: PendingEntries): boolean =>
  a.events.length === b.events.length &&
  a.writes.length === b.writes.length &&
  a.events.every((e, i) => e.id === b.events[i]?.id) &&
  a.writes.every((w, i) => w.writeId === b.writes[i]?.writeId);

const worker = {
  /**
   * What a plan comes to in this household, with what is pending on this device; undefined when no household can be had.
   * @param asOf how far the household has come: with another one it is brought anew
   */
  async check(session: Session, asOf: string, pending: PendingEntries, now: Instant): Promise<SessionParts['draft'] | undefined> {
    if (household?.asOf !== asOf) household = await bring(asOf);
    if (!household) return undefined;
    if (opened?.household !== household || !same(opened.pending, pending))
      opened = { household, pending, ...openSnapshot(withPending(household.snapshot, pending)) };
    return sessionPart(viewOf(session, opened.world, opened.records, now), 'draft');
  },
};

export type PlanWorker = typeof worker;

Comlink.expose(worker);
