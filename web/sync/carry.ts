import type { Carry } from '#core/contract';
import { deviceStore, type KeptDraft } from './deviceStore.ts';
import type { RefusedEntry } from './outboxSlice.ts';

/** What belongs to a device belongs to its address: when the household's name changes, it is taken over to the new one. */

const ours = /^tambo\./;
const markOf = /^#carry=([\w-]{20,100})$/;

const post = async (path: string, body: object): Promise<Response> =>
  fetch(`/api/door/${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** Everything of this device but its queue, which is sent before. */
async function packed(): Promise<Carry> {
  const local = Object.fromEntries(Object.entries(localStorage).filter((e): e is [string, string] => ours.test(e[0])));
  const db = await deviceStore();
  const [keys, drafts, refused] = await Promise.all([db.getAllKeys('drafts'), db.getAll('drafts'), db.getAll('refused')]);
  return { local, drafts: keys.map((key, i) => [key, drafts[i]]), refused };
}

/**
 * Hands all of it to the household and goes over to its new name. The queue must be empty.
 * @throws Error in words when the household would not take it; nothing is lost then
 */
export async function goOver(): Promise<void> {
  const res = await post('carry', await packed());
  const body = (await res.json().catch(() => ({}))) as { token?: string; to?: string; message?: string };
  if (!res.ok || body.token === undefined || body.to === undefined) throw new Error(body.message ?? 'Tambo did not answer. Try again.');
  location.assign(`${body.to}/#carry=${body.token}`);
}

/** Whether this page was opened by a device that comes over from the old name. */
export const isArriving = (): boolean => markOf.test(location.hash);

/** Unpacks what came along, then begins as the same device. */
export async function arrive(): Promise<void> {
  const token = markOf.exec(location.hash)?.[1] ?? '';
  const res = await post('arrive', { token });
  if (res.ok) {
    const carry = (await res.json()) as Carry;
    for (const [key, value] of Object.entries(carry.local)) localStorage.setItem(key, value);
    const db = await deviceStore();
    const tx = db.transaction(['drafts', 'refused'], 'readwrite');
    await Promise.all([
      ...carry.drafts.map(([key, d]) => tx.objectStore('drafts').put(d as KeptDraft, key)),
      ...carry.refused.map((r) => tx.objectStore('refused').put(r as RefusedEntry)),
    ]);
    await tx.done;
  }
  location.replace('/');
}
