import type { Container, Equipment, Household } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { thicknessMm } from './fill.ts';

const cell = (row: ReferenceRow, column: string): string => String(row[column] ?? '');
const range = (text: string): string => text.replace(/-/g, '–');

/** Core temperature by the household's country: 75 °C in the UK (or 70 °C for 2 min; FSA), 74 °C elsewhere (FSIS). */
export const reheatCore = (country: Household['country']): { text: string; source: string } =>
  country === 'GB' ? { text: '75\u00A0°C in the middle', source: 'FSA' } : { text: '74\u00A0°C in the middle', source: 'FSIS' };

/** Whether the household has what a method needs. */
function canDo(method: string, equipment: readonly Pick<Equipment, 'kind' | 'count'>[]): boolean {
  const has = (kind: Equipment['kind']): boolean => equipment.some((e) => e.kind === kind && e.count > 0);
  if (/\bpct\b/.test(method)) return has('microwave');
  if (/oven/.test(method)) return has('oven');
  if (/hob|boil|steam/.test(method)) return has('hob');
  return false;
}

const isMicrowave = (method: string): boolean => /\bpct\b/.test(method);

/** Whether this container may stand in for the dish in that method; otherwise the food comes out of it first. */
function containerBears(
  method: string,
  container: Pick<Container, 'materialId' | 'shape'> | undefined,
  materials: ReadonlyMap<string, ReferenceRow>,
): boolean {
  const material = container && materials.get(container.materialId);
  if (!material) return false;
  const bears = isMicrowave(method)
    ? cell(material, 'freezerToMicrowave')
    : /oven/.test(method)
      ? cell(material, 'freezerToOven')
      : cell(material, 'freezerToHob');
  return bears.startsWith('ok');
}

/**
 * One sentence a method, for this container and this household's appliances. Minutes are kitchen estimates; the core temperature decides (reference 11.1).
 * @example 'From frozen, hob low: 25–35 min, lid on, stir every 5 min, to 75 °C in the middle.'
 */
export function reheatText(
  rows: readonly ReferenceRow[],
  ids: readonly string[],
  container: Pick<Container, 'materialId' | 'shape'> | undefined,
  equipment: readonly Pick<Equipment, 'kind' | 'count'>[],
  materials: ReadonlyMap<string, ReferenceRow>,
  country: Household['country'],
): string[] {
  const core = reheatCore(country).text;
  return ids.flatMap((id) => {
    const row = rows.find((r) => r.id === id);
    if (!row || !canDo(cell(row, 'method'), equipment)) return [];
    const method = cell(row, 'method');
    const micro = isMicrowave(method);
    const how = micro
      ? `Microwave (${method.replace(/ pct/g, '\u00A0%').replace(' then ', ', then ')})`
      : method === 'oven'
        ? `Oven ${cell(row, 'tempC')}\u00A0°C`
        : method.replace(/^hob/, 'Hob').replace(/^boil.*/, 'Boil');
    const out = containerBears(method, container, materials)
      ? ''
      : container?.shape === 'bag'
        ? ', out of the bag'
        : container
          ? ', tipped out'
          : '';
    const numeric = /^[\d.+\-/ ]+$/.test(cell(row, 'minutes'));
    const amount = (cell(row, 'perUnit').split(/[;,]/)[0] ?? '').replace(/^pan /, '');
    const cover = cell(row, 'cover');
    const stir = cell(row, 'stir').replace(/^stir /, '');
    const rest = cell(row, 'restMin');
    const end = /100/.test(cell(row, 'coreC')) ? 'until it boils' : `to ${core}`;
    const minutes = numeric ? `: ${range(cell(row, 'minutes'))}\u00A0min for ${range(amount)}` : '';
    const resting =
      !rest || rest === '0'
        ? ''
        : /^[\d-]+$/.test(rest)
          ? `, rest ${range(rest)}\u00A0min`
          : /37/.test(rest)
            ? ', cool to 37\u00A0°C'
            : `, rest ${rest}\u00A0min`;
    return [
      `${cell(row, 'start') === 'thawed' ? 'Thawed' : 'Frozen'}, ${how.charAt(0).toLowerCase()}${how.slice(1)}${out}${minutes}${cover && cover !== 'none' ? `, ${cover}` : ''}${stir && stir !== 'no' ? `, stir ${stir}` : ''}, ${end}${resting}.`,
    ];
  });
}

/** Fridge hours to thaw, by the shape and thickness nearest in the reference; the longer end plans. */
export function thawHours(
  rows: readonly ReferenceRow[],
  container: Container | undefined,
  ml: number,
  cubes: boolean,
): { low: number; high: number; rowId: string } | undefined {
  const shape = cubes
    ? 't_cube'
    : container?.shape === 'bag'
      ? 't_flat'
      : container?.shape === 'pan'
        ? 't_pan'
        : container
          ? 't_tub'
          : undefined;
  if (!shape) return undefined;
  const cm = container && !cubes ? thicknessMm(container, ml) / 10 : 3;
  const nearest = rows
    .filter((r) => r.id.startsWith(shape))
    .toSorted((a, b) => Math.abs(Number(a.thicknessCm) - cm) - Math.abs(Number(b.thicknessCm) - cm))[0];
  const hours = /^(\d+)-(\d+)/.exec(nearest ? cell(nearest, 'thawH') : '');
  return nearest && hours ? { low: Number(hours[1]), high: Number(hours[2]), rowId: nearest.id } : undefined;
}
