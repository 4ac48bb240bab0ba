import type { Equipment, FieldPath } from '#core/contract';

type Kind = Equipment['kind'];
/** A figure of a piece of gear, by its path in the contract. */
type FieldKey = Extract<
  FieldPath<Equipment>,
  'count' | 'litres' | `${string}Mm` | 'tareG' | 'watts' | 'kg' | 'fillShare' | `marks.${string}`
>;

/** What is asked of each kind, and in which words. */
export interface GearKind {
  kind: Kind;
  name: string;
  group: 'vessel' | 'heat' | 'bowl' | 'tray' | 'other';
  count: string;
  fields: readonly FieldKey[];
}

export const gearKinds: readonly GearKind[] = [
  {
    kind: 'pot',
    name: 'Pot',
    group: 'vessel',
    count: 'How many',
    fields: ['count', 'litres', 'diameterMm', 'heightMm', 'tareG', 'fillShare'],
  },
  { kind: 'pan', name: 'Frying pan', group: 'vessel', count: 'How many', fields: ['count', 'litres', 'diameterMm', 'heightMm'] },
  {
    kind: 'pressureCooker',
    name: 'Pressure cooker',
    group: 'vessel',
    count: 'How many',
    fields: ['count', 'litres', 'diameterMm', 'heightMm', 'tareG'],
  },
  { kind: 'slowCooker', name: 'Slow cooker', group: 'vessel', count: 'How many', fields: ['count', 'litres', 'tareG', 'watts'] },
  { kind: 'hob', name: 'Hob', group: 'heat', count: 'Burners', fields: ['count', 'watts'] },
  { kind: 'oven', name: 'Oven', group: 'heat', count: 'Shelves', fields: ['count', 'widthMm', 'depthMm'] },
  { kind: 'microwave', name: 'Microwave', group: 'heat', count: 'How many', fields: ['count', 'watts'] },
  { kind: 'airFryer', name: 'Air fryer', group: 'heat', count: 'How many', fields: ['count', 'litres', 'watts'] },
  { kind: 'toaster', name: 'Toaster', group: 'heat', count: 'Slots', fields: ['count'] },
  {
    kind: 'processor',
    name: 'Food processor',
    group: 'bowl',
    count: 'How many',
    fields: ['count', 'litres', 'marks.pulseMl', 'marks.pureeMl', 'marks.hotMl'],
  },
  { kind: 'blender', name: 'Blender', group: 'bowl', count: 'How many', fields: ['count', 'litres', 'marks.pureeMl', 'marks.hotMl'] },
  { kind: 'steamer', name: 'Steamer', group: 'bowl', count: 'Tiers', fields: ['count', 'litres'] },
  { kind: 'sheetPan', name: 'Sheet pan', group: 'tray', count: 'How many', fields: ['count', 'widthMm', 'depthMm'] },
  { kind: 'dehydrator', name: 'Dehydrator', group: 'tray', count: 'Trays', fields: ['count', 'widthMm', 'depthMm', 'watts'] },
  { kind: 'freezeDryer', name: 'Freeze dryer', group: 'tray', count: 'Trays', fields: ['count', 'widthMm', 'depthMm', 'kg'] },
  { kind: 'scale', name: 'Scale', group: 'other', count: 'How many', fields: ['count', 'kg'] },
  { kind: 'probe', name: 'Probe', group: 'other', count: 'How many', fields: ['count'] },
  { kind: 'vacuumSealer', name: 'Vacuum sealer', group: 'other', count: 'How many', fields: ['count'] },
  { kind: 'ice', name: 'Ice on hand', group: 'other', count: 'How many', fields: ['kg'] },
  { kind: 'worktop', name: 'Worktop', group: 'other', count: 'How many', fields: ['widthMm', 'depthMm'] },
  { kind: 'sink', name: 'Sink', group: 'other', count: 'Bowls', fields: ['count', 'litres'] },
];

export const kindOf = (kind: Kind): GearKind =>
  gearKinds.find((k) => k.kind === kind) ?? { kind, name: kind, group: 'other', count: 'How many', fields: ['count'] };

/** What each figure is called, and how wide it stands; its unit is the contract's. */
export const fieldLabels: Readonly<Record<FieldKey, { label: string; width: number }>> = {
  count: { label: 'How many', width: 90 },
  litres: { label: 'Holds to the brim', width: 160 },
  diameterMm: { label: 'Inner diameter', width: 170 },
  heightMm: { label: 'Inner height', width: 150 },
  tareG: { label: 'Empty weight', width: 140 },
  watts: { label: 'Power', width: 130 },
  widthMm: { label: 'Inner width', width: 140 },
  depthMm: { label: 'Inner depth', width: 140 },
  kg: { label: 'Weight', width: 110 },
  fillShare: { label: 'Own limit, of the brim', width: 210 },
  'marks.pulseMl': { label: 'Mark for pulsing', width: 180 },
  'marks.pureeMl': { label: 'Mark for pureeing', width: 190 },
  'marks.hotMl': { label: 'Mark for hot liquid', width: 190 },
};

/** What is asked of its kind alone: a pot that was an oven has no fan any more. */
export function ofItsKind(e: Equipment): Equipment {
  const asked = new Set<string>(kindOf(e.kind).fields);
  const { heat, fan, marks: _marks, ...rest } = e;
  const marks = Object.fromEntries(Object.entries(e.marks ?? {}).filter(([k]) => asked.has(`marks.${k}`)));
  const figures = Object.entries(rest).filter(([k]) => !(k in fieldLabels) || asked.has(k) || k === 'count');
  return {
    ...(Object.fromEntries(figures) as unknown as typeof rest),
    ...(Object.keys(marks).length > 0 && { marks }),
    ...(e.kind === 'hob' && heat && { heat }),
    ...(e.kind === 'oven' && fan && { fan }),
  };
}

export type { FieldKey };
