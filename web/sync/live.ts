import { api } from './api.ts';
import { backAgain } from './baseQuery.ts';
import { selectFrame } from './selectors.ts';
import { cacheSoon } from './snapshot.ts';
import type { AppStore } from './store.ts';

/** What others did shows here at once: the server tells that there is something new, and the pages ask for it. Where it cannot tell, it is asked from time to time. */

/** One's own entry is answered first: what is told of it is no news then. */
const settleMs = 150;
/** Somebody else's is asked for at once; what they log in a run is asked for once. */
const gatherMs = 15;
/** Without being told: asked so often while the page is looked at. */
const askMs = 5000;

interface Told {
  storeId: string;
  asOf: string;
}

/** Whether what is told is news to a page that shows this much of the household. */
export const isNews = (told: Told, shown: Told | undefined, waiting: number): boolean =>
  shown !== undefined && waiting === 0 && (told.asOf !== shown.asOf || told.storeId !== shown.storeId);

export function startLive(store: AppStore): void {
  let source: EventSource | undefined;
  let asking: ReturnType<typeof setInterval> | undefined;
  let settle: ReturnType<typeof setTimeout> | undefined;
  const heard = (told: Told): void => {
    clearTimeout(settle);
    const own = store.getState().outbox.pending.length > 0;
    settle = setTimeout(
      () => {
        const { outbox } = store.getState();
        if (!isNews(told, selectFrame(store.getState()), outbox.pending.length)) return;
        store.dispatch(api.util.invalidateTags(['World']));
        cacheSoon();
      },
      own ? settleMs : gatherMs,
    );
  };
  const ask = (): void => {
    // a device that is not let in is told nothing, and asks for nothing
    if (document.visibilityState !== 'visible' || store.getState().outbox.shut) return;
    void fetch('/api/live/now')
      .then((res) => (res.ok ? (res.json() as Promise<Told>) : undefined))
      .then((told) => told && heard(told))
      .catch(() => undefined);
  };
  const askInstead = (): void => {
    asking ??= setInterval(ask, askMs);
  };
  const listen = (): void => {
    if (source || typeof EventSource === 'undefined') return;
    source = new EventSource('/api/live');
    source.addEventListener('open', () => {
      clearInterval(asking);
      asking = undefined;
    });
    source.addEventListener('changed', (e) => heard(JSON.parse((e as MessageEvent<string>).data) as Told));
    source.addEventListener('error', () => {
      // it comes back by itself, unless it was refused
      askInstead();
      if (source?.readyState !== EventSource.CLOSED) return;
      source = undefined;
    });
  };
  const quiet = (): void => {
    source?.close();
    source = undefined;
    clearInterval(asking);
    asking = undefined;
  };
  // a page nobody looks at holds no line; it is asked anew when it is looked at again
  document.addEventListener('visibilitychange', () => (document.visibilityState === 'visible' ? listen() : quiet()));
  backAgain.addEventListener('back', listen);
  if (typeof EventSource === 'undefined') askInstead();
  else if (document.visibilityState === 'visible') listen();
}
