import type { Day, EventData, Id, Meal, PackFacts } from '#core/contract';
import { onPack, type Act, type SeenPack } from './act.ts';

/** Where something stands: a cold place and a basket or shelf in it. */
export interface Spot {
  placeId: Id;
  zoneId: Id;
}

/** Food goes into a pack. @example fillPack({ packId: 'tub7' }, data) */
export const fillPack = (pack: SeenPack, data: EventData<'filled'>): Act => onPack('filled', pack, data);

/** Packs are put into a freezer's basket, or from one into another. @example putAway(packs, { placeId: 'shed', zoneId: 'left' }) */
export const putAway = (packs: readonly SeenPack[], { placeId, zoneId }: Spot): Act[] =>
  packs.map((p) => onPack('moved', p, { placeId, zoneId }));

/** Packs are meant for a dinner; for none any more without a day. @example planFor([stew], '2026-11-27') */
export const planFor = (packs: readonly SeenPack[], day: Day | undefined, meal: Meal = 'dinner'): Act[] =>
  packs.map((p) => onPack('planned', p, { for: day === undefined || day === '' ? null : { day, meal } }));

/** Packs leave the freezer and thaw for a meal. @example takeOut([stew], '2026-11-27') */
export const takeOut = (packs: readonly SeenPack[], day: Day, meal: Meal = 'dinner'): Act[] =>
  packs.map((p) => onPack('pulled', p, { day, meal }));

/**
 * Somebody ate from a pack: who how much, guests, and what became of the rest.
 * @example eat(tub7, { day: '2026-11-24', meal: 'dinner', shares: [{ eaterId: 'osk', portions: 1 }], guests: 0, rest: 'fridge' })
 */
export const eat = (pack: SeenPack, data: EventData<'eaten'>): Act => onPack('eaten', pack, data);

/** Food of a pack goes into the bin. @example bin(stew, 2, 'freezer burn') */
export const bin = (pack: SeenPack, portions: number, reason: string): Act => onPack('discarded', pack, { portions, reason });

/** Food of a pack goes to somebody else. @example giveAway(stew, 2, 'the yard') */
export const giveAway = (pack: SeenPack, portions: number, to: string): Act => onPack('given', pack, { portions, to });

/** A pack has been in the fridge since a moment: its clock runs from there. @example inFridgeSince(tub7, '2026-11-24T16:00:00.000Z') */
export const inFridgeSince = (pack: SeenPack, at: string): Act => onPack('opened', pack, { at });

/** A pack is not where it should be, nor anywhere else. @example lose(tub7) // not where it should be */
export const lose = (pack: SeenPack): Act => onPack('lost', pack, {});

/** An empty container is clean again. @example wash(tub7) // its tub is free again */
export const wash = (pack: SeenPack): Act => onPack('washed', pack, {});

/** A label is on a pack, printed or written; what a printed one says about allergies is kept with it. @example markLabelled(stew, 'hand') */
export const markLabelled = (pack: SeenPack, how: 'printed' | 'hand', says?: string): Act =>
  onPack('labelled', pack, { how, ...(says !== undefined && { says }) });

/** What was entered wrong of a pack, as it is and as it was; with portions, so many are left. @example correct(tub7, { is: { name: 'Leek soup' }, was: { name: 'Stew' } }, 'wrong lid') */
export const correct = (pack: SeenPack, { is, was }: { is: PackFacts; was: PackFacts }, reason: string, portions?: number): Act =>
  onPack('corrected', pack, {
    reason,
    ...(portions !== undefined && { portions }),
    ...(Object.keys(is).length > 0 && { is, was }),
  });

/** So many portions are left of it, whatever was counted before. @example countAgain(tub7, 3, 'one was hidden') */
export const countAgain = (pack: SeenPack, portions: number, reason: string): Act => onPack('corrected', pack, { portions, reason });

/**
 * Food of packs goes into others: split over smaller ones, or several into one.
 * @param from packs with how many portions go
 * @param into new packs with what each is filled with
 * @example repack([{ pack: tub7, portions: 4 }], [{ packId: 'a', data }, { packId: 'b', data }])
 */
export const repack = (
  from: readonly { pack: SeenPack; portions: number }[],
  into: readonly { packId: Id; data: EventData<'filled'> }[],
): Act[] => [
  ...into.map(({ packId, data }) => fillPack({ packId }, { ...data, from: from.map((f) => f.pack.packId) })),
  ...from.map(({ pack, portions }) => onPack('repacked', pack, { portions, into: into.map((i) => i.packId) })),
];
