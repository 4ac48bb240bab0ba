import type { Revision } from '#core/contract';
import { sayPortions, sayVolume } from '#core/kitchen';

export interface PiecesNeeded {
  pieces: number;
  massG: number;
  /** Above what was asked; below 0 when less. */
  overG: number;
}

/** To the nearest quarter, at least one when there is any. */
const quarters = (n: number): number => (n <= 0 ? 0 : Math.max(0.25, Math.round(n * 4) / 4));

/**
 * Pieces of what is at hand for what a recipe asks for: pieces taken from stock round up, and the rest is told.
 * @example piecesFor(5 * 5, 10) // { pieces: 3, massG: 30, overG: 5 }
 * @throws RangeError when a piece weighs nothing
 */
export function piecesFor(askedG: number, pieceG: number): PiecesNeeded {
  if (!(pieceG > 0) || !(askedG >= 0))
    throw new RangeError(`piecesFor: expected a piece with a weight, got ${askedG} g in pieces of ${pieceG} g`);
  const pieces = Math.ceil(askedG / pieceG - 1e-9);
  return { pieces, massG: pieces * pieceG, overG: pieces * pieceG - askedG };
}

/**
 * The nearest number of one's own pieces for a written weight: a recipe's carrots are not the shop's.
 * @example swapByWeight(140, 18) // { pieces: 8, massG: 144, overG: 4 }
 */
export function swapByWeight(askedG: number, pieceG: number): PiecesNeeded {
  if (!(pieceG > 0) || !(askedG >= 0))
    throw new RangeError(`swapByWeight: expected a piece with a weight, got ${askedG} g in pieces of ${pieceG} g`);
  const pieces = askedG === 0 ? 0 : Math.max(1, Math.round(askedG / pieceG));
  return { pieces, massG: pieces * pieceG, overG: pieces * pieceG - askedG };
}

/**
 * How much of a concentrate stands in for so many pieces, to the quarter spoon.
 * @example standIn(5, { amount: 1, count: 2 }) // 2.5
 */
export function standIn(pieces: number, dose: { amount: number; count: number }): number {
  if (!(dose.count > 0) || !(pieces >= 0)) throw new RangeError(`standIn: expected a dose for some pieces, got ${dose.count}`);
  return quarters((pieces * dose.amount) / dose.count);
}

/**
 * How much of a concentrate a pot wants: `1 spoon per half litre`.
 * @example doseFor(2000, { amount: 1, perMl: 500 }) // 4
 */
export function doseFor(ml: number, dose: { amount: number; perMl: number }): number {
  if (!(dose.perMl > 0) || !(ml >= 0)) throw new RangeError(`doseFor: expected a dose for some volume, got ${dose.perMl} ml`);
  return quarters((ml * dose.amount) / dose.perMl);
}

type Dose = NonNullable<Revision['dose']>;

/**
 * A concentrate's dose in words, for its page and its label.
 * @param nameOf the plain name of an ingredient
 * @example sayDose({ amount: 1, unit: 'tbsp', perMl: 500, noSalt: true }, nameOf) // ['1 tbsp for 500 ml, do not salt']
 */
export function sayDose(dose: Dose, nameOf: (ingredientId: string) => string): string[] {
  const amount = `${sayPortions(dose.amount)} ${dose.unit === 'piece' ? (dose.amount === 1 ? 'piece' : 'pieces') : dose.unit}`;
  const salt = dose.noSalt ? ', do not salt' : '';
  return [
    ...(dose.perMl !== undefined ? [`${amount} for ${sayVolume(dose.perMl)}${salt}`] : []),
    ...(dose.insteadOf
      ? [`${amount} = ${sayPortions(dose.insteadOf.count)} ${nameOf(dose.insteadOf.ingredientId)}${dose.perMl === undefined ? salt : ''}`]
      : []),
  ];
}
