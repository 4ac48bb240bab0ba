import { device } from './device.ts';
import type { AppStore } from './store.ts';

/** Tells the household what waits on this device, so that its list of devices can say it. The computer's own pages are not on that list. */

/** Entries come in runs: the last count is told. */
const settleMs = 1500;

export function startHeard(store: AppStore): void {
  if (location.protocol !== 'https:') return;
  let told: number | undefined;
  let soon: ReturnType<typeof setTimeout> | undefined;
  const tell = (): void => {
    const { pending, refused, online, shut } = store.getState().outbox;
    const waiting = pending.length + refused.length;
    if (!online || shut || waiting === told) return;
    told = waiting;
    void fetch('/api/door/heard', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ device, waiting }),
    }).then(
      (res) => void (res.ok || (told = undefined)),
      () => void (told = undefined),
    );
  };
  const later = (): void => {
    clearTimeout(soon);
    soon = setTimeout(tell, settleMs);
  };
  store.subscribe(() => {
    const { pending, refused, online } = store.getState().outbox;
    if (online && pending.length + refused.length !== told) later();
  });
  later();
}
