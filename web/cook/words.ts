import type { Kind } from '#core/contract';
import type { SessionView, TaskView } from '#core/session';

type Named = Pick<SessionView, 'dishes'>;

/** The kind of a task's first dish. */
export const kindOf = (view: Named, t: TaskView): Kind => view.dishes.find((d) => d.batchId === t.batchIds[0])?.kind ?? 'meal';

/** The dishes a task is for. */
export const dishOf = (view: Named, t: TaskView): string =>
  t.batchIds.map((id) => view.dishes.find((d) => d.batchId === id)?.name ?? '').join(', ');
