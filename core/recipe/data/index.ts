export { freezingRows } from './freezing.rows.ts';
export { seasoningRows } from './seasonings.rows.ts';
export { usualDensityRows, type UsualDensity } from './usualDensity.rows.ts';
export { textureRows } from './textures.rows.ts';
export { limitRows, loadTimeRows, roastLayerMm, stockRimMm, waterPerDip } from './limits.rows.ts';
