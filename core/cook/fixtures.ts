import type { Task } from './index.ts';

/** Five minutes of hands and nothing else, unless it is said. */
export const testTask = (id: string, over: Partial<Task> = {}): Task => ({
  timeKey: id,
  id,
  batchIds: ['b'],
  title: id,
  detail: '',
  handsOnMin: 5,
  waitMin: 0,
  after: [],
  needs: [],
  hazards: [],
  cleanliness: 3,
  guess: false,
  ...over,
});
