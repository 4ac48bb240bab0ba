import type { Session } from '#core/contract';
import type { SessionParts } from '#core/queries';

/** What a draft plan comes to, worked out on the page. */
export interface PlanCheck {
  draft: SessionParts['draft'] | undefined;
  /** Something typed is not in it yet. */
  busy: boolean;
  /** Why it could not be checked. */
  problem: string | undefined;
}

export const notChecked = 'This plan cannot be checked just now. What you enter is kept.';

/** Asks for one draft at a time. */
export interface Checking {
  check: (session: Session) => void;
  end: () => void;
}

/**
 * Asks for the newest draft alone: what was typed while an answer is on its way is asked for once, when it has come. An older answer stays while
 * a newer one cannot be had.
 * @param ask works a draft out; undefined when there is no household to check it against
 */
export function checking(
  ask: (session: Session) => Promise<SessionParts['draft'] | undefined>,
  tell: (check: PlanCheck) => void,
): Checking {
  let next: Session | undefined;
  let running = false;
  let ended = false;
  let last: SessionParts['draft'] | undefined;
  const run = async (): Promise<void> => {
    running = true;
    while (next) {
      const session = next;
      next = undefined;
      const draft = await ask(session).catch(() => undefined);
      if (ended) return;
      last = draft ?? last;
      tell({ draft: last, busy: next !== undefined, problem: draft ? undefined : notChecked });
    }
    running = false;
  };
  return {
    check(session) {
      next = session;
      if (!running) void run();
    },
    end() {
      ended = true;
      next = undefined;
    },
  };
}
