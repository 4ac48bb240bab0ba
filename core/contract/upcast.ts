import type { WritableTable } from './writes.ts';

/** What has a shape of its own that may change from one version of Tambo to the next. */
export type Shape = WritableTable | 'event';
type Fields = Record<string, unknown>;
/** Brings one value from a version of its shape to the next. Kept for ever, since a household may come from any year. */
export type Step = (value: Fields) => Fields;
/** For each shape, the step from version 1 to 2, from 2 to 3, and so on. */
export type Steps = Readonly<Record<Shape, readonly Step[]>>;

const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);
const withoutKey = (fields: Fields, key: string): Fields => Object.fromEntries(Object.entries(fields).filter(([k]) => k !== key));

/** Every change of shape so far, the oldest first (decision 57). Each has a stored example in `server/db/older`. */
export const steps: Steps = {
  household: [],
  eater: [],
  equipment: [],
  // whether it may go into a microwave is said of every container, if only that nobody knows
  container: [(c) => ({ ...c, microwave: c.microwave ?? 'unknown' })],
  place: [],
  recipe: [],
  recipe_revision: [],
  // containers were once to be kept with the plan; they follow from what is free and what was packed
  session: [
    (s) => ({
      ...s,
      batches: Array.isArray(s.batches) ? s.batches.map((b: unknown) => (isFields(b) ? withoutKey(b, 'packing') : b)) : s.batches,
    }),
  ],
  picture: [],
  recipe_list: [],
  reference: [],
  event: [],
};

/** A value that a newer Tambo has written. */
export class NewerShape extends Error {
  constructor(shape: Shape, version: number, known: number) {
    super(`${shape} of version ${version} was written by a newer Tambo; this one knows ${known}`);
  }
}

/** Today's version of each shape. */
export const versionsOf = (all: Steps): Record<Shape, number> =>
  Object.fromEntries(Object.entries(all).map(([shape, list]) => [shape, list.length + 1])) as Record<Shape, number>;

export const versions = versionsOf(steps);

/**
 * A value of an older version brought up to today's, step by step; one of today's is handed back as it is.
 * Law: bringing up in two goes is the same as in one.
 * @throws NewerShape for a version that is not known yet
 * @example upcast('container', 1, { id: 'tub' }) // { id: 'tub', microwave: 'unknown' }
 */
export function upcast(shape: Shape, version: number, value: unknown, all: Steps = steps): unknown {
  const list = all[shape];
  if (version > list.length + 1) throw new NewerShape(shape, version, list.length + 1);
  // what is no record has no fields to bring up: its schema will say so
  return list.slice(Math.max(0, version - 1)).reduce<unknown>((v, step) => (isFields(v) ? step(v) : v), value);
}
