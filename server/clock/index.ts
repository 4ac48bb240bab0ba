import type { Instant } from '../../core/contract/index.ts';

/** The one place on the server that reads the time. */
export interface Clock {
  now(): Instant;
  /** Moves a test clock; refuses on a real one. */
  move(to: Instant): boolean;
  readonly test: boolean;
  readonly stopped: boolean;
}

/**
 * The server's clock. `TAMBO_NOW` sets it and lets it run; with `TAMBO_CLOCK=stopped` it stands, for pictures.
 * Only a set clock can be moved.
 */
export function makeClock(env: { TAMBO_NOW?: string; TAMBO_CLOCK?: string }): Clock {
  const set = env.TAMBO_NOW ? new Date(env.TAMBO_NOW) : undefined;
  if (set && Number.isNaN(set.getTime()))
    throw new Error(`TAMBO_NOW: expected an instant such as 2026-11-24T16:00:00Z, got "${env.TAMBO_NOW}"`);
  const stopped = env.TAMBO_CLOCK === 'stopped';
  let offset = set ? set.getTime() - Date.now() : 0;
  let held = set?.getTime() ?? Date.now();
  const time = (): number => (stopped ? held : Date.now() + offset);
  return {
    now: () => new Date(time()).toISOString(),
    move(to) {
      if (!set) return false;
      held = new Date(to).getTime();
      offset = held - Date.now();
      return true;
    },
    test: set !== undefined,
    stopped,
  };
}

/** The time of the world, whatever a household's clock was set to: certificates, and how fast one may try, go by it. */
export const worldMs = (): number => Date.now();
