import type { Container } from '#core/contract';

/** A half-litre tub for tests unless told otherwise. */
export const testContainer = (id: string, over: Partial<Container> = {}): Container => ({
  id,
  name: id,
  shape: 'tub',
  brimMl: 500,
  fillMl: 430,
  heightMm: 70,
  widthMm: 118,
  footMm: 95,
  depthMm: 118,
  tareG: 20,
  owned: 10,
  oneUse: false,
  materialId: 'm_pp',
  microwave: 'unknown',
  ...over,
});
