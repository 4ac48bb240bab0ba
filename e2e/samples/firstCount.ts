import type { Kind } from '../../core/contract/index.ts';

/** Twenty lines that fill two freezers: sixty packs, all eight kinds, dates from yesterday to last spring, at most five packs a line. */
export interface CountSample {
  typed: string;
  name: string;
  kind: Kind;
  packs: number;
  zone: string;
  /** Left out where nobody knows. */
  made?: [earliest: string, latest: string];
}

/** As seen on Tuesday, 24 Nov 2026, with the freezer box (fb) and the chest (ch) of the welcome. */
export const firstCount: readonly CountSample[] = [
  { typed: 'stew 4 oct ch left', name: 'Stew', kind: 'meal', packs: 4, zone: 'left basket', made: ['2026-10-01', '2026-10-31'] },
  { typed: 'leek soup 3 sep', name: 'Leek soup', kind: 'meal', packs: 3, zone: 'left basket', made: ['2026-09-01', '2026-09-30'] },
  { typed: 'fish pie 2 oct', name: 'Fish pie', kind: 'meal', packs: 2, zone: 'left basket', made: ['2026-10-01', '2026-10-31'] },
  { typed: 'dal 4 aug', name: 'Dal', kind: 'meal', packs: 4, zone: 'left basket', made: ['2026-08-01', '2026-08-31'] },
  { typed: 'gratin 2 nov', name: 'Gratin', kind: 'meal', packs: 2, zone: 'left basket', made: ['2026-11-01', '2026-11-24'] },
  { typed: 'kit pork 3 oct mid', name: 'Pork', kind: 'kit', packs: 3, zone: 'middle', made: ['2026-10-01', '2026-10-31'] },
  { typed: 'dumplings 2 sep', name: 'Dumplings', kind: 'kit', packs: 2, zone: 'middle', made: ['2026-09-01', '2026-09-30'] },
  { typed: 'chicken stock 5 sep', name: 'Chicken stock', kind: 'broth', packs: 5, zone: 'middle', made: ['2026-09-01', '2026-09-30'] },
  { typed: 'tomato sauce 4 aug', name: 'Tomato sauce', kind: 'base', packs: 4, zone: 'middle', made: ['2026-08-01', '2026-08-31'] },
  { typed: 'beans 3 last spring', name: 'Beans', kind: 'base', packs: 3, zone: 'middle', made: ['2026-03-01', '2026-05-31'] },
  { typed: 'plums 3 sep right', name: 'Plums', kind: 'base', packs: 3, zone: 'right basket', made: ['2026-09-01', '2026-09-30'] },
  { typed: 'peas 2 jun', name: 'Peas', kind: 'base', packs: 2, zone: 'right basket', made: ['2026-06-01', '2026-06-30'] },
  { typed: 'rye rolls 4 bags sat fb', name: 'Rye rolls', kind: 'bread', packs: 4, zone: 'top', made: ['2026-11-21', '2026-11-21'] },
  { typed: 'flatbreads 3 bags oct', name: 'Flatbreads', kind: 'bread', packs: 3, zone: 'top', made: ['2026-10-01', '2026-10-31'] },
  { typed: 'ginger 2 oct', name: 'Ginger', kind: 'aromatic', packs: 2, zone: 'top', made: ['2026-10-01', '2026-10-31'] },
  { typed: 'parsley 2 aug', name: 'Parsley', kind: 'aromatic', packs: 2, zone: 'top', made: ['2026-08-01', '2026-08-31'] },
  { typed: 'pea puree 5 yesterday dr', name: 'Pea puree', kind: 'puree', packs: 5, zone: 'drawer', made: ['2026-11-23', '2026-11-23'] },
  { typed: 'oat puree 3 nov', name: 'Oat puree', kind: 'puree', packs: 3, zone: 'drawer', made: ['2026-11-01', '2026-11-24'] },
  { typed: 'dried leeks 2 2025', name: 'Dried leeks', kind: 'dried', packs: 2, zone: 'drawer', made: ['2025-01-01', '2025-12-31'] },
  { typed: 'powder 2 ?', name: 'Powder', kind: 'dried', packs: 2, zone: 'drawer' },
];
