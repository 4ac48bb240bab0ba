import { describe, expect, it } from 'vitest';
import { measuresIn, selectUnits } from './measures.ts';
import { api } from './api.ts';
import { store } from './store.ts';

describe('weights and volumes on the pages', () => {
  it('are said in each system, and stay exact underneath', () => {
    expect([measuresIn.metric.sayMass(907.2), measuresIn.metric.sayVolume(1136.5)]).toEqual(['907\u00a0g', '1.14\u00a0L']);
    expect([measuresIn.us.sayMass(907.2), measuresIn.us.sayVolume(946.353)]).toEqual(['2 lb', '4 cups']);
    expect([measuresIn.uk.sayMass(907.2), measuresIn.uk.sayVolume(1136.5)]).toEqual(['2 lb', '2 pints']);
    expect(measuresIn.uk.sayMass(0)).toBe('0\u00a0g');
    expect([measuresIn.metric.aboutVolume(1234), measuresIn.metric.aboutVolume(737)]).toEqual(['1.25\u00a0L', '740\u00a0ml']);
  });
  it('follow the household as the frame says, and what this device remembers before', async () => {
    expect(selectUnits(store.getState())).toBe('metric');
    const frame = { household: { units: 'us' } } as never;
    await store.dispatch(api.util.upsertQueryData('frame', undefined, frame));
    expect(selectUnits(store.getState())).toBe('us');
  });
});
