import type { SessionView, TaskView } from '#core/session';

export const kindOf = (view: SessionView, t: TaskView) => view.batches.find((b) => b.batch.id === t.batchIds[0])?.revision.kind ?? 'meal';

export const dishOf = (view: SessionView, t: TaskView): string =>
  t.batchIds.map((id) => view.batches.find((b) => b.batch.id === id)?.revision.name ?? '').join(', ');

export const clockPlus = (time: string, min: number): string => {
  const [h = 0, m = 0] = time.split(':').map(Number);
  const t = h * 60 + m + Math.round(min);
  return `${String(Math.floor(t / 60) % 24).padStart(2, '0')}:${String(t % 60).padStart(2, '0')}`;
};
