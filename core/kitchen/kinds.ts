import type { Container, Kind } from '#core/contract';

/** Every kind of food, in the order in which pages show them. */
export const allKinds: readonly Kind[] = ['meal', 'kit', 'base', 'puree', 'broth', 'aromatic', 'dried', 'bread'];

/** A kit goes into the freezer raw and is cooked on its day. @example isRawKind('kit') // true: a kit is cooked on its evening */
export const isRawKind = (kind: string): boolean => kind === 'kit';

/** The supply a kind counts towards; bases, aromatics, dried and bread count for themselves. */
export type SupplyGroup = 'dinner' | 'baby' | 'broth';

/** Which supply a kind counts to: dinners, the baby's meals, broth; undefined when to none. @example groupOf('puree') // 'baby' */
export const groupOf = (kind: string): SupplyGroup | undefined =>
  kind === 'meal' || kind === 'kit' ? 'dinner' : kind === 'puree' ? 'baby' : kind === 'broth' ? 'broth' : undefined;

/** What may be put on an evening as its dinner. @example isDinnerKind('broth') // false */
export const isDinnerKind = (kind: string): boolean => groupOf(kind) === 'dinner';

/**
 * Whether a pack is a dinner by itself: a meal, or a kit that is a whole dish. Plain raw meat is a part of one, whatever its mark (decision 45).
 * @example isDinner({ kind: 'kit', whole: false }) // false: raw mince
 */
export const isDinner = (pack: { kind: string; whole?: boolean | undefined }): boolean =>
  pack.kind === 'meal' || (pack.kind === 'kit' && pack.whole !== false);

/** What is eaten as it is, and liked or not: no broth, base or paste, which end in something else. @example isEatenAsIs('aromatic') // false */
export const isEatenAsIs = (kind: string): boolean => isDinnerKind(kind) || kind === 'puree' || kind === 'bread';

/**
 * Kinds that are counted, never poured: a label says their weight.
 * @example isCounted('meal') // whether such a pack is counted when the freezer is
 */
export const isCounted = (kind: Kind): boolean => kind === 'bread' || kind === 'dried' || kind === 'aromatic' || kind === 'puree';

/** What decides which containers a dish may go into. */
export interface Packable {
  /** Frozen in a tray's cells and kept loose. */
  cubes: boolean;
  /** Baked in the pan it is frozen in. */
  pan: boolean;
}

/**
 * Whether a container may hold a dish, for the plan, the packing page and the core alike: cubes go loose into bags, what is baked in its pan into pans,
 * all else into what closes. Broth and soup may go into bags, cooled and laid flat.
 * @example mayHold(foilPan, packableOf(gratin)) // only what is baked in a pan goes into one
 */
export const mayHold = (container: Pick<Container, 'shape'>, dish: Packable): boolean => {
  const { shape } = container;
  if (shape === 'tray' || shape === 'mould') return false;
  if (dish.cubes) return shape === 'bag';
  return dish.pan ? shape === 'pan' : shape !== 'pan';
};
