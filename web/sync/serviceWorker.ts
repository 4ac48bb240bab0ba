import { useSyncExternalStore } from 'react';

/** Looks after the app on the device, so that it opens without a connection. Browsers offer it on this machine and over https only. */

/** Quiet time after the first page has come. */
const registerAfterMs = 1200;

let waiting: ServiceWorker | undefined;
const listeners = new Set<() => void>();

function found(worker: ServiceWorker | null): void {
  // the very first one has nobody to wait for
  if (!worker || !navigator.serviceWorker.controller) return;
  waiting = worker;
  for (const tell of listeners) tell();
}

export function startServiceWorker(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const register = (): void =>
    void navigator.serviceWorker.register('/sw.js').then(
      (registration) => {
        found(registration.waiting);
        registration.addEventListener('updatefound', () => {
          const next = registration.installing;
          next?.addEventListener('statechange', () => {
            if (next.state === 'installed') found(next);
          });
        });
      },
      () => undefined,
    );
  // it brings in the whole app: not while the first page is being drawn
  window.addEventListener('load', () => setTimeout(register, registerAfterMs));
}

/** Whether a newer version waits to be taken. */
export const useNewVersion = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => waiting !== undefined,
  );

/** Hands over to the newer version and opens the page anew. */
export function takeOver(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  waiting?.postMessage('take over');
}
