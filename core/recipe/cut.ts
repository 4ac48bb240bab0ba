import type { IngredientRow } from '#core/contract';
import type { Because } from '#core/kitchen';

/** The size a piece is cut to, with its reason. */
export interface CutSize {
  mm: number;
  because: Because[];
}

/**
 * The size to cut to: what is stringy is cut half as large, so that no fibre is longer than a bite (R3).
 * @throws RangeError for a size of 0 or less
 * @example cutSize(12, { texture: 'stringy' }) // { mm: 6, because: [{ code: 'stringyHalves', params: { from: 12 } }] }
 */
export function cutSize(defaultMm: number, row: Pick<IngredientRow, 'texture'> | undefined): CutSize {
  if (!(defaultMm > 0)) throw new RangeError(`cutSize: expected a size above 0 mm, got ${defaultMm}`);
  return row?.texture === 'stringy'
    ? { mm: defaultMm / 2, because: [{ code: 'stringyHalves', params: { from: defaultMm } }] }
    : { mm: defaultMm, because: [{ code: 'cutAsWritten' }] };
}
