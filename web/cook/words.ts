import type { SessionView, TaskView } from '#core/session';

export const kindOf = (view: SessionView, t: TaskView) => view.batches.find((b) => b.batch.id === t.batchIds[0])?.revision.kind ?? 'meal';

export const dishOf = (view: SessionView, t: TaskView): string =>
  t.batchIds.map((id) => view.batches.find((b) => b.batch.id === id)?.revision.name ?? '').join(', ');
