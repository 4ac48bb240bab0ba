import type { Equipment } from '#core/contract';

type Kind = Equipment['kind'];
type FieldKey =
  'count' | 'litres' | 'diameter' | 'height' | 'tare' | 'watts' | 'width' | 'depth' | 'kg' | 'fillShare' | 'pulse' | 'puree' | 'hot';

/** What is asked of each kind, and in which words. */
export interface GearKind {
  kind: Kind;
  name: string;
  group: 'vessel' | 'heat' | 'bowl' | 'tray' | 'other';
  count: string;
  fields: readonly FieldKey[];
}

export const gearKinds: readonly GearKind[] = [
  { kind: 'pot', name: 'Pot', group: 'vessel', count: 'How many', fields: ['count', 'litres', 'diameter', 'height', 'tare', 'fillShare'] },
  { kind: 'pan', name: 'Frying pan', group: 'vessel', count: 'How many', fields: ['count', 'litres', 'diameter', 'height'] },
  {
    kind: 'pressureCooker',
    name: 'Pressure cooker',
    group: 'vessel',
    count: 'How many',
    fields: ['count', 'litres', 'diameter', 'height', 'tare'],
  },
  { kind: 'slowCooker', name: 'Slow cooker', group: 'vessel', count: 'How many', fields: ['count', 'litres', 'tare', 'watts'] },
  { kind: 'hob', name: 'Hob', group: 'heat', count: 'Burners', fields: ['count', 'watts'] },
  { kind: 'oven', name: 'Oven', group: 'heat', count: 'Shelves', fields: ['count', 'width', 'depth'] },
  { kind: 'microwave', name: 'Microwave', group: 'heat', count: 'How many', fields: ['count', 'watts'] },
  { kind: 'airFryer', name: 'Air fryer', group: 'heat', count: 'How many', fields: ['count', 'litres', 'watts'] },
  { kind: 'toaster', name: 'Toaster', group: 'heat', count: 'Slots', fields: ['count'] },
  { kind: 'processor', name: 'Food processor', group: 'bowl', count: 'How many', fields: ['count', 'litres', 'pulse', 'puree', 'hot'] },
  { kind: 'blender', name: 'Blender', group: 'bowl', count: 'How many', fields: ['count', 'litres', 'puree', 'hot'] },
  { kind: 'steamer', name: 'Steamer', group: 'bowl', count: 'Tiers', fields: ['count', 'litres'] },
  { kind: 'sheetPan', name: 'Sheet pan', group: 'tray', count: 'How many', fields: ['count', 'width', 'depth'] },
  { kind: 'dehydrator', name: 'Dehydrator', group: 'tray', count: 'Trays', fields: ['count', 'width', 'depth', 'watts'] },
  { kind: 'freezeDryer', name: 'Freeze dryer', group: 'tray', count: 'Trays', fields: ['count', 'width', 'depth', 'kg'] },
  { kind: 'scale', name: 'Scale', group: 'other', count: 'How many', fields: ['count', 'kg'] },
  { kind: 'probe', name: 'Probe', group: 'other', count: 'How many', fields: ['count'] },
  { kind: 'vacuumSealer', name: 'Vacuum sealer', group: 'other', count: 'How many', fields: ['count'] },
  { kind: 'ice', name: 'Ice on hand', group: 'other', count: 'How many', fields: ['kg'] },
  { kind: 'worktop', name: 'Worktop', group: 'other', count: 'How many', fields: ['width', 'depth'] },
  { kind: 'sink', name: 'Sink', group: 'other', count: 'Bowls', fields: ['count', 'litres'] },
];

export const kindOf = (kind: Kind): GearKind =>
  gearKinds.find((k) => k.kind === kind) ?? { kind, name: kind, group: 'other', count: 'How many', fields: ['count'] };

export const fieldLabels: Readonly<Record<FieldKey, { label: string; unit?: string; width: number }>> = {
  count: { label: 'How many', width: 90 },
  litres: { label: 'Holds to the brim', unit: 'L', width: 150 },
  diameter: { label: 'Inner diameter', unit: 'mm', width: 150 },
  height: { label: 'Inner height', unit: 'mm', width: 140 },
  tare: { label: 'Empty weight', unit: 'g', width: 140 },
  watts: { label: 'Power', unit: 'W', width: 130 },
  width: { label: 'Inner width', unit: 'mm', width: 130 },
  depth: { label: 'Inner depth', unit: 'mm', width: 130 },
  kg: { label: 'Kilos', width: 100 },
  fillShare: { label: 'Own limit', unit: '% of the brim', width: 170 },
  pulse: { label: 'Mark for pulsing', unit: 'ml', width: 160 },
  puree: { label: 'Mark for pureeing', unit: 'ml', width: 160 },
  hot: { label: 'Mark for hot liquid', unit: 'ml', width: 160 },
};

export type { FieldKey };
