/** How full a vessel may be, and the minutes around each load. */
export interface LimitRow { id: string; use: string; share: number; source: string; conf: 'A' | 'B' | 'confirm' }
export interface LoadTimeRow { id: string; use: 'pot' | 'bowl' | 'oven' | 'steamer' | 'dip'; setupMin: number; emptyMin: number; source: string; conf: 'A' | 'B' | 'confirm' }

export const limitRows: readonly LimitRow[] = [
  { id: 'pot', use: 'stirred without slopping over', share: 0.75, source: 'KIT', conf: 'B' },
  { id: 'pulse', use: 'chopped by pulses', share: 0.5, source: 'MAKER;KIT', conf: 'B' },
  { id: 'puree', use: 'pureed cold', share: 2 / 3, source: 'MAKER;KIT', conf: 'B' },
];

/** Water stays this far under the rim of a stock pot at a bare simmer (reference 9.3). */
export const stockRimMm = 25;
/** Pieces that roast lie in one layer, about as high as they are cut. */
export const roastLayerMm = 25;

export const loadTimeRows: readonly LoadTimeRow[] = [
  { id: 'lt_pot', use: 'pot', setupMin: 3, emptyMin: 4, source: 'KIT', conf: 'confirm' },
  { id: 'lt_bowl', use: 'bowl', setupMin: 1, emptyMin: 1, source: 'KIT', conf: 'confirm' },
  { id: 'lt_oven', use: 'oven', setupMin: 2, emptyMin: 2, source: 'KIT', conf: 'confirm' },
  { id: 'lt_steamer', use: 'steamer', setupMin: 2, emptyMin: 2, source: 'KIT', conf: 'confirm' },
  // the clock starts when the water boils again, within a minute (reference 5.1)
  { id: 'lt_dip', use: 'dip', setupMin: 1, emptyMin: 1, source: 'NCHFP;KIT', conf: 'B' },
];

/** Boiling water for what is blanched at once: about 8 l a kilo, 17 for leaves, by the row of the blanching table they belong to (reference 5.1). */
export const waterPerDip = {
  leaf: { mlPerG: 17, blanchIds: ['spinach', 'collards'] as readonly string[], source: 'NCHFP' },
  other: { mlPerG: 8, source: 'NCHFP' },
} as const;
