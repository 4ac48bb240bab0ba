/** A grid of labels on a sheet, in millimetres. */
export interface LabelGrid {
  id: string;
  name: string;
  pageMm: { w: number; h: number };
  labelMm: { w: number; h: number };
  columns: number;
  rows: number;
  marginMm: { top: number; left: number };
  gapMm: { x: number; y: number };
}

/** A4, 3 x 7 of 63.5 x 38.1 mm. */
export const a4Grid21: LabelGrid = {
  id: 'a4-21',
  name: 'A4, 3 x 7 of 63.5 x 38.1 mm',
  pageMm: { w: 210, h: 297 },
  labelMm: { w: 63.5, h: 38.1 },
  columns: 3,
  rows: 7,
  marginMm: { top: 15.15, left: 7.2 },
  gapMm: { x: 2.5, y: 0 },
};

export interface LabelSpot {
  page: number;
  /** 1 to columns x rows. */
  cell: number;
  x: number;
  y: number;
}

/**
 * Where each label goes, from the first free one on a started sheet, row by row.
 * @param start 1 to columns x rows
 * @throws RangeError when the start is not a label of the sheet
 * @example labelSpots(9, 5, a4Grid21) // nine labels from the fifth free one of the sheet
 */
export function labelSpots(count: number, start: number, grid: LabelGrid): LabelSpot[] {
  const perPage = grid.columns * grid.rows;
  if (!Number.isInteger(start) || start < 1 || start > perPage)
    throw new RangeError(`labelSpots: expected a first label from 1 to ${perPage}, got ${start}`);
  return Array.from({ length: count }, (_, i) => {
    const at = start - 1 + i;
    const cell = at % perPage;
    return {
      page: Math.floor(at / perPage),
      cell: cell + 1,
      x: grid.marginMm.left + (cell % grid.columns) * (grid.labelMm.w + grid.gapMm.x),
      y: grid.marginMm.top + Math.floor(cell / grid.columns) * (grid.labelMm.h + grid.gapMm.y),
    };
  });
}
