import * as Comlink from 'comlink';
import type { Instant, Session } from '#core/contract';
import { sessionPart, viewOf, type SessionParts } from '#core/queries';
import type { PendingEntries } from '#core/sync';
import { householdHere } from './household.ts';

const open = householdHere();

const worker = {
  /**
   * What a plan comes to in this household, with what is pending on this device; undefined when no household can be had.
   * @param asOf how far the household has come: with another one it is brought anew
   */
  async check(session: Session, asOf: string, pending: PendingEntries, now: Instant): Promise<SessionParts['draft'] | undefined> {
    const here = await open(asOf, pending);
    return here && sessionPart(viewOf(session, here.world, here.records, now), 'draft');
  },
};

export type PlanWorker = typeof worker;

Comlink.expose(worker);
