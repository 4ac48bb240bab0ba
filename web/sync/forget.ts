import { api } from './api.ts';
import { deviceStore } from './deviceStore.ts';
import type { AppStore } from './store.ts';

/** A device that was put out forgets the household; what was entered on it and never sent stays, for when it is let in again. */
export async function forgetHousehold(dispatch: AppStore['dispatch']): Promise<void> {
  dispatch(api.util.resetApiState());
  await Promise.all([
    typeof caches === 'undefined' ? undefined : caches.delete('tambo-answers'),
    deviceStore()
      .then((db) => Promise.all([db.clear('kept'), db.clear('sent')]))
      .catch(() => undefined),
  ]);
}
