import { afterEach, describe, expect, it } from 'vitest';
import { followUnits, sayMass, sayVolume } from './measures.ts';

afterEach(() => followUnits('metric'));

describe('weights and volumes on the pages', () => {
  it('follow the household, and stay exact underneath', () => {
    expect([sayMass(907.2), sayVolume(1136.5)]).toEqual(['907\u00a0g', '1.14\u00a0L']);
    followUnits('us');
    expect([sayMass(907.2), sayVolume(946.353)]).toEqual(['2 lb', '4 cups']);
    followUnits('uk');
    expect([sayMass(907.2), sayVolume(1136.5)]).toEqual(['2 lb', '2 pints']);
    expect(sayMass(0)).toBe('0\u00a0g');
  });
});
