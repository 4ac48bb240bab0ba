import type { Container } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { numberOf } from '../form/fields.tsx';

/** A first filling-in from a reference row: shape, brim and fill. */
export function fromPreset(row: ReferenceRow): Partial<Container> {
  const n = (k: string): number | undefined => (typeof row[k] === 'number' ? row[k] : numberOf(String(row[k] ?? '').split('-')[0] ?? ''));
  if (row.shape === 'bag')
    return {
      name: `Bag, ${String(row.bag)}`,
      shape: 'bag',
      brimMl: (n('nominalL') ?? 1) * 1000,
      fillMl: (n('fillPracticalL') ?? 0.7) * 1000,
      widthMm: (n('widthCm') ?? 18) * 10,
      footMm: (n('widthCm') ?? 18) * 10,
      heightMm: (n('lengthCm') ?? 20) * 10,
      depthMm: 25,
      materialId: 'm_pe_bag',
      oneUse: true,
    };
  if (row.shape === 'pan') {
    const [l = 20, w = 20, d = 5] = String(row.dimsCm ?? '')
      .split(' x ')
      .map(Number);
    return {
      name: `Foil pan, ${String(row.pan)}`,
      shape: 'pan',
      brimMl: (n('brimL') ?? 1) * 1000,
      fillMl: (n('fillL') ?? 0.8) * 1000,
      widthMm: l * 10,
      footMm: l * 9,
      heightMm: (Number.isFinite(d) ? d : 4) * 10,
      depthMm: (Number.isFinite(w) ? w : l) * 10,
      materialId: 'm_foil',
      oneUse: true,
    };
  }
  const nominal = n('nominalMl') ?? 500;
  const jar = row.shape === 'jar';
  const width = Math.round(Math.cbrt(nominal * 1000 * 1.45));
  return row.shape === 'tray'
    ? {
        name: `Tray, ${String(row.container)}`,
        shape: 'tray',
        brimMl: nominal,
        fillMl: n('fillMl') ?? nominal * 0.9,
        widthMm: 260,
        footMm: 250,
        heightMm: 35,
        depthMm: 110,
        cells: 14,
        materialId: 'm_silicone_tray',
        oneUse: false,
      }
    : {
        name: `${jar ? 'Jar' : 'Tub'} ${nominal} ml`,
        shape: jar ? 'jar' : 'tub',
        brimMl: nominal,
        fillMl: n('fillMl') ?? nominal * 0.87,
        widthMm: width,
        footMm: Math.round(width * 0.87),
        heightMm: Math.round((nominal * 1000) / (width * width * 0.7)),
        depthMm: width,
        materialId: jar ? 'm_jar' : 'm_pp',
        oneUse: false,
      };
}
