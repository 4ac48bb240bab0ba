import { openDB, type IDBPDatabase } from 'idb';
import type { Refusal } from '#core/contract';
import { api } from './api.ts';
import { follow } from './clock.ts';
import { added, loaded, offline, sent, wasRefused, type Waiting } from './outboxSlice.ts';
import type { AppStore } from './store.ts';

/** Everything written goes through here: kept on the device first, sent in order, tried again with the same id until it is answered (DECISIONS 22). */

type NewEntry = Waiting extends infer W ? (W extends Waiting ? Omit<W, 'seq'> : never) : never;

let dbPromise: Promise<IDBPDatabase> | undefined;
const queueDb = (): Promise<IDBPDatabase> =>
  (dbPromise ??= openDB('tambo', 1, { upgrade: (db) => void db.createObjectStore('queue', { keyPath: 'seq', autoIncrement: true }) }));

let store: AppStore | undefined;
let sending = false;
let retryMs = 1000;
let retryTimer: ReturnType<typeof setTimeout> | undefined;
let memorySeq = 1_000_000;
/** Acknowledged by the server, not yet seen by the page. */
const answered = new Set<number>();

const mostEvents = 200;

interface Answered {
  gone: number[];
  refused: { entry: Waiting; message: string; refusals: Refusal[] }[];
}

const post = (path: string, body: unknown): Promise<Response> =>
  fetch(`/api${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

async function send(entries: Waiting[]): Promise<Answered> {
  const first = entries[0];
  if (!first) return { gone: [], refused: [] };
  if (first.kind === 'event') {
    const batch = entries.slice(
      0,
      entries.findIndex((e) => e.kind !== 'event') < 0
        ? mostEvents
        : Math.min(
            mostEvents,
            entries.findIndex((e) => e.kind !== 'event'),
          ),
    );
    const res = await post(
      '/events',
      batch.map((e) => e.body),
    );
    if (res.status >= 500) throw new Error(`answered ${res.status}`);
    const body = (await res.json()) as { now?: string; message?: string; answers?: { id: string; status: string; refusals?: Refusal[] }[] };
    if (body.now && store) follow(body.now, api.endpoints.frame.select()(store.getState()).data?.stopped ?? false);
    return {
      gone: batch.map((e) => e.seq),
      refused: batch.flatMap((entry) => {
        const a = body.answers?.find((x) => x.id === (entry.kind === 'event' ? entry.body.id : ''));
        return !a || a.status === 'refused'
          ? [{ entry, message: body.message ?? `“${entry.label}” was not kept.`, refusals: a?.refusals ?? [] }]
          : [];
      }),
    };
  }
  const res = await post(first.kind === 'write' ? '/writes' : '/undo', first.body);
  if (res.status >= 500) throw new Error(`answered ${res.status}`);
  const body = (await res.json()) as { message?: string; refusals?: Refusal[] };
  return {
    gone: [first.seq],
    refused: res.ok ? [] : [{ entry: first, message: body.message ?? `“${first.label}” was not kept.`, refusals: body.refusals ?? [] }],
  };
}

async function flush(): Promise<void> {
  if (!store || sending) return;
  sending = true;
  clearTimeout(retryTimer);
  const unsent = (): Waiting[] => store?.getState().outbox.waiting.filter((w) => !answered.has(w.seq)) ?? [];
  try {
    while (unsent().length > 0) {
      while (unsent().length > 0) {
        const { gone, refused } = await send(unsent());
        for (const seq of gone) answered.add(seq);
        const db = await queueDb().catch(() => undefined);
        if (db) await Promise.all(gone.map((seq) => db.delete('queue', seq)));
        for (const r of refused)
          store.dispatch(wasRefused({ seq: r.entry.seq, label: r.entry.label, message: r.message, refusals: r.refusals }));
        retryMs = 1000;
      }
      // what was sent counts as waiting until the page has heard of it, so that nothing flickers back in between
      store.dispatch(api.util.invalidateTags(['World']));
      await Promise.all(store.dispatch(api.util.getRunningQueriesThunk()));
      store.dispatch(sent([...answered]));
      answered.clear();
    }
  } catch {
    store.dispatch(offline());
    retryTimer = setTimeout(() => void flush(), retryMs);
    retryMs = Math.min(30_000, retryMs * 2);
  } finally {
    sending = false;
  }
}

/** Keeps an entry on the device, then sends what waits. Resolves once it is kept here. */
export async function enqueue(entries: NewEntry[]): Promise<void> {
  for (const entry of entries) {
    let seq = (memorySeq += 1);
    try {
      seq = Number(await (await queueDb()).add('queue', entry));
    } catch {
      // without a device store it waits in the page alone
    }
    store?.dispatch(added({ ...entry, seq } as Waiting));
  }
  void flush();
}

/** Reads what was left waiting, then keeps trying: at once, when the network is back, when the page is looked at again. */
export function startOutbox(appStore: AppStore): void {
  store = appStore;
  void (async () => {
    try {
      const left = (await (await queueDb()).getAll('queue')) as Waiting[];
      if (left.length > 0) appStore.dispatch(loaded([...left, ...appStore.getState().outbox.waiting]));
    } catch {
      // no device store: nothing was left waiting
    }
    void flush();
  })();
  window.addEventListener('online', () => void flush());
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') void flush();
  });
}
