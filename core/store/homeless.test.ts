import { describe, expect, it } from 'vitest';
import type { Place } from '#core/contract';
import { homeless } from './index.ts';

const shed = { id: 'shed', zones: [{ id: 'left' }, { id: 'right' }] } as Place;
const packs = [{ placeId: 'shed', zoneId: 'left' }, { placeId: 'shed', zoneId: 'right' }, { placeId: 'box', zoneId: 'top' }, {}];
describe('packs without a shelf', () => {
  it('are all of a place that goes', () => expect(homeless(packs, shed, undefined)).toHaveLength(2));
  it('are those of a basket that goes', () => expect(homeless(packs, shed, { ...shed, zones: [shed.zones[0]!] })).toEqual([packs[1]]));
  it('are none where only a name changes', () => expect(homeless(packs, shed, { ...shed, name: 'Chest' })).toEqual([]));
});
