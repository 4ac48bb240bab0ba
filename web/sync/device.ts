import { ulid } from 'ulid';
import type { Act } from '#core/commands';
import { versions, type Instant, type TamboEvent } from '#core/contract';
import { addMs } from '#core/kitchen';
import { now } from './clock.ts';

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};
const keep = (key: string, value: string): void => {
  try {
    localStorage.setItem(key, value);
  } catch {
    // private windows may refuse; the id then lives as long as the page
  }
};

let deviceId = read('tambo.device');
if (!deviceId) {
  deviceId = `d${ulid().slice(-12)}`;
  keep('tambo.device', deviceId);
}

export const device: string = deviceId;
export const newId = (): string => ulid();

let counter = Number(read('tambo.counter') ?? 0);
let last: Instant = read('tambo.instant') ?? '';

/** Later than anything this device has sent or seen (DECISIONS 8). */
function nextInstant(): Instant {
  const at = now();
  last = at > last ? at : addMs(last, 1);
  keep('tambo.instant', last);
  return last;
}

/** Gives an act its id, its device and its moment. */
export function stampAct({ type, subjects, data }: Omit<Act, 'seen'>, id: string): TamboEvent {
  counter += 1;
  keep('tambo.counter', String(counter));
  return { id, subjects, instant: nextInstant(), device, counter, version: versions.event, type, data } as TamboEvent;
}

export const stampInstant = nextInstant;
