/** A half-litre tub as it was stored before anybody asked about microwaves. */
export const olderTub = {
  id: 'tub',
  name: 'Half-litre tub',
  shape: 'tub',
  brimMl: 500,
  fillMl: 430,
  heightMm: 64,
  widthMm: 108,
  footMm: 92,
  depthMm: 108,
  owned: 6,
  oneUse: false,
  materialId: 'm_pp',
};
