import { api } from './api.ts';
import { backAgain } from './baseQuery.ts';
import { follow } from './clock.ts';
import {
  added,
  loaded,
  notKept,
  offline,
  putAside,
  sent,
  sentElsewhere,
  shut,
  toldLater,
  wasRefused,
  type RefusedEntry,
  type PendingEntry,
} from './outboxSlice.ts';
import { deviceStore, type NewEntry } from './deviceStore.ts';
import { forgetDone } from './intents.ts';
import { cacheSoon, loadSent, noteSent } from './snapshot.ts';
import { Again, DoorShut, Sender } from './sending.ts';
import type { AppStore } from './store.ts';

/** Everything written goes through here: kept on the device first, sent in order, tried again with the same id until it is answered (DECISIONS 22). */

let store: AppStore | undefined;
let sending = false;
let retryMs = 1000;
let retryTimer: ReturnType<typeof setTimeout> | undefined;
/** Numbers of entries that wait in this page alone, above all that the device gives. */
const firstInMemory = 1_000_000_000;
let memorySeq = firstInMemory;
/** Acknowledged by the server, not yet seen by the page. */
const answered = new Set<number>();

/** What is said where the household takes nothing from this page's address. */
const elsewhere = 'Tambo takes no entries from this address: open it by its own name.';

/** Quiet time after the first page stands. */
const localAfterMs = 2500;

const sender = new Sender((path, body) =>
  fetch(`/api${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
);

/** One tab sends at a time: they share what waits on this device. */
const alone = (work: () => Promise<void>): Promise<void> => ('locks' in navigator ? navigator.locks.request('tambo-queue', work) : work());

/** What another tab has sent meanwhile waits here no more. */
async function dropSentElsewhere(appStore: AppStore): Promise<void> {
  try {
    const there = new Set<number>(await (await deviceStore()).getAllKeys('queue'));
    const gone = appStore
      .getState()
      .outbox.pending.map((w) => w.seq)
      .filter((seq) => seq < firstInMemory && !there.has(seq) && !answered.has(seq));
    if (gone.length === 0) return;
    appStore.dispatch(sentElsewhere(gone));
    appStore.dispatch(api.util.invalidateTags(['World']));
  } catch {
    // without a device store there is nothing to share
  }
}

/**
 * What the server has answered leaves the queue: taken entries are needed without a connection until the household is kept anew,
 * refused ones stay until the cook puts them aside.
 */
async function moveOn(gone: readonly number[], kept: readonly PendingEntry[], refused: readonly RefusedEntry[]): Promise<void> {
  try {
    const tx = (await deviceStore()).transaction(['queue', 'sent', 'refused'], 'readwrite');
    await Promise.all([
      ...gone.map((seq) => tx.objectStore('queue').delete(seq)),
      ...kept.map((w) => tx.objectStore('sent').put(w)),
      ...refused.map((r) => tx.objectStore('refused').put(r)),
    ]);
    await tx.done;
  } catch {
    // without a device store the page alone remembers; sending again would change nothing
  }
}

async function flush(): Promise<void> {
  if (!store || sending || store.getState().outbox.pending.length === 0) return;
  sending = true;
  clearTimeout(retryTimer);
  let failed = true;
  try {
    await alone(async () => {
      failed = !(await sendAll());
    });
  } finally {
    sending = false;
  }
  // what was entered while the lock was being given back has been turned away above
  if (!failed) void flush();
}

/** Sends until nothing waits; false when it is to be tried again later. */
async function sendAll(): Promise<boolean> {
  if (!store) return true;
  await dropSentElsewhere(store);
  const unsent = (): PendingEntry[] => store?.getState().outbox.pending.filter((w) => !answered.has(w.seq)) ?? [];
  try {
    while (unsent().length > 0) {
      while (unsent().length > 0) {
        const unsentBefore = unsent();
        const { gone, refused, now } = await sender.send(unsentBefore);
        if (now) follow(now, api.endpoints.frame.select()(store.getState()).data?.stopped ?? false);
        for (const seq of gone) answered.add(seq);
        const kept = unsentBefore.filter((w) => gone.includes(w.seq) && !refused.some((r) => r.entry.seq === w.seq));
        noteSent(kept);
        const no = refused.map((r) => ({
          seq: r.entry.seq,
          label: r.entry.label,
          message: r.message,
          refusals: r.refusals,
          entry: r.entry,
        }));
        await moveOn(gone, kept, no);
        for (const r of no) {
          store.dispatch(wasRefused(r));
          if (r.entry.kind === 'event') forgetDone(r.entry.body.id);
        }
        retryMs = 1000;
      }
      // what was sent counts as waiting until the page has heard of it, so that nothing flickers back in between
      store.dispatch(api.util.invalidateTags(['World']));
      await Promise.all(store.dispatch(api.util.getRunningQueriesThunk()));
      store.dispatch(sent([...answered]));
      answered.clear();
      cacheSoon();
    }
    return true;
  } catch (error) {
    store.dispatch(offline(undefined));
    if (error instanceof DoorShut) store.dispatch(error.status === 401 ? shut() : toldLater(elsewhere));
    if (error instanceof Again && error.says !== undefined) store.dispatch(toldLater(error.says));
    // without a connection the pages are made here, with what waits
    store.dispatch(api.util.invalidateTags(['World']));
    retryTimer = setTimeout(() => void flush(), retryMs);
    retryMs = Math.min(30_000, retryMs * 2);
    return false;
  }
}

/** The cook has seen what was refused. */
export async function putRefusedAside(seq: number): Promise<void> {
  store?.dispatch(putAside(seq));
  await deviceStore()
    .then((db) => db.delete('refused', seq))
    .catch(() => undefined);
}

/** Keeps entries on the device in one go, then sends what waits. Resolves once they are kept here. */
export async function enqueue(entries: NewEntry[]): Promise<void> {
  let seqs: number[];
  try {
    const tx = (await deviceStore()).transaction('queue', 'readwrite');
    seqs = await Promise.all(entries.map((entry) => tx.store.add(entry)));
    await tx.done;
  } catch {
    // no room, or no device store: they wait in this page alone, and the page says so
    seqs = entries.map(() => (memorySeq += 1));
    store?.dispatch(notKept());
  }
  store?.dispatch(added(entries.map((entry, i) => ({ ...entry, seq: seqs[i] ?? (memorySeq += 1) }) as PendingEntry)));
  if (store && !store.getState().outbox.online) store.dispatch(api.util.invalidateTags(['World']));
  void flush();
}

/** Reads what was left waiting, then keeps trying: at once, when the network is back, when the page is looked at again. */
export function startOutbox(appStore: AppStore): void {
  store = appStore;
  void (async () => {
    try {
      const left = (await (await deviceStore()).getAll('queue')) as PendingEntry[];
      if (left.length > 0) appStore.dispatch(loaded([...left, ...appStore.getState().outbox.pending]));
      for (const r of await (await deviceStore()).getAll('refused')) appStore.dispatch(wasRefused(r));
      await loadSent();
    } catch {
      // no device store: nothing was left waiting
    }
    void flush();
    cacheSoon();
  })();
  // where no service worker may keep the app, the part that answers without a connection is at least in the page
  setTimeout(() => void import('./local.ts').catch(() => undefined), localAfterMs);
  const again = (): void => {
    retryMs = 1000;
    void flush();
    // what others did meanwhile
    appStore.dispatch(api.util.invalidateTags(['World']));
    cacheSoon();
  };
  window.addEventListener('online', again);
  backAgain.addEventListener('back', again);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') void flush();
  });
}
