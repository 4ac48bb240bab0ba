import type { Kind } from '#core/contract';

/** The shape of each kind on a field of 20 by 20: shape and colour, never colour alone. */
export const kindPaths: Readonly<Record<Kind, string>> = {
  meal: 'M2 5.5h5.2V3h5.6v2.5H18V17.5H2z',
  kit: 'M10 1.6l7.3 4.2v8.4L10 18.4 2.7 14.2V5.8z',
  base: 'M2 3.8h16v5.2H2zM2 11.4h16v5.2H2z',
  puree: 'M10 2a8 8 0 1 0 0 16a8 8 0 1 0 0 -16z',
  broth: 'M10 1.6c3.8 4.8 6.4 7.6 6.4 10.6a6.4 6.4 0 0 1 -12.8 0c0 -3 2.6 -5.8 6.4 -10.6z',
  aromatic: 'M2.2 17.8C1 8.2 7 2.2 17.8 2.2c0 10.800 -5.800 15.800 -12.400 14.400L4 18.400z',
  dried: 'M10 1.200L18.800 10L10 18.800L1.200 10z',
  bread: 'M1.600 15.600a8.400 9.600 0 0 1 16.800 0z',
};
