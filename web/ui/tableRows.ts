/** How a table is sorted: by what, and whether the last comes first. */
export interface TableOrder<Row> {
  by?: ((row: Row) => string | number) | undefined;
  down?: boolean | undefined;
}

const compare = (a: string | number, b: string | number): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b), 'en', { numeric: true });

/** The rows of one page in their order, which page that is and how many there are; rows that are alike stay in the order they came in. */
export function tableRows<Row>(
  rows: readonly Row[],
  { by, down = false }: TableOrder<Row>,
  page: number,
  size: number,
): { shown: readonly Row[]; from: number; page: number; pages: number } {
  const sorted = by ? rows.toSorted((a, b) => compare(by(a), by(b)) * (down ? -1 : 1)) : rows;
  const pages = Math.max(1, Math.ceil(rows.length / size));
  const at = Math.min(Math.max(1, page), pages);
  const from = (at - 1) * size;
  return { shown: sorted.slice(from, from + size), from, page: at, pages };
}
