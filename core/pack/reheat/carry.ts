import type { ReferenceRow } from '#core/kitchen';

type Edit = Record<string, string | number | null>;

const rangeIn = (text: unknown): { low: number; high: number } | undefined => {
  const m = /^\s*(\d+(?:\.\d+)?)(?:\s*[-–]\s*(\d+(?:\.\d+)?))?\s*$/.exec(String(text ?? ''));
  return m ? { low: Number(m[1]), high: Number(m[2] ?? m[1]) } : undefined;
};

/** Minutes of a row, one stage or two: `25-35`, `6 + 4-5`. */
function minutes(text: unknown): Edit {
  const [one, two] = String(text ?? '')
    .split('+')
    .map(rangeIn);
  return {
    ...(one && { min1Low: one.low, min1High: one.high }),
    ...(two && { min2Low: two.low, min2High: two.high }),
  };
}

/**
 * A household's edit of a row of the older reheating table, as edits of the rows that took its place: minutes, oven heat and standing, where they can be
 * read as figures.
 * @returns nothing when no row took its place or nothing of the edit can be carried
 * @example carriedHeat('soup_micro', { minutes: 6 }, shippedRows) // an own figure goes on in today's table
 */
export function carriedHeat(oldId: string, edited: Record<string, unknown>, rows: readonly ReferenceRow[]): { id: string; edited: Edit }[] {
  const oven = rangeIn(edited.tempC);
  const rest = rangeIn(edited.restMin);
  const edit: Edit = {
    ...('minutes' in edited && minutes(edited.minutes)),
    ...(oven && { ovenC: oven.high, fanC: oven.high - 20 }),
    ...(rest && { restMin: rest.high }),
  };
  if (Object.keys(edit).length === 0) return [];
  return rows
    .filter((r) =>
      String(r.refRows ?? '')
        .split(';')
        .includes(oldId),
    )
    .map((r) => {
      // a heat is carried to what is heated in an oven, and a second stage to what has one
      const own = Object.entries(edit).filter(([key]) =>
        key === 'ovenC' || key === 'fanC' ? r.ovenC !== undefined : key.startsWith('min2') ? r.min2Low !== undefined : true,
      );
      return { id: r.id, edited: Object.fromEntries(own) };
    })
    .filter((x) => Object.keys(x.edited).length > 0);
}
