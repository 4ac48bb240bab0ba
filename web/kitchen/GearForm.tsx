import { useState } from 'react';
import type { Equipment } from '#core/contract';
import { useCommands } from '../app/commands.ts';
import { newId } from '../app/device.ts';
import { Field, numberOf, Sheet } from './fields.tsx';

/** A pot: litres, size and its own weight, so that it can be weighed full. */
export function GearForm({ gear, onClose }: { gear: Equipment | undefined; onClose: () => void }) {
  const { write } = useCommands();
  const [f, setF] = useState({
    name: gear?.name ?? '',
    count: String(gear?.count ?? 1),
    litres: gear?.litres ? String(gear.litres) : '',
    diameter: gear?.diameterMm ? String(gear.diameterMm) : '',
    height: gear?.heightMm ? String(gear.heightMm) : '',
    tare: gear?.tareG ? String(gear.tareG) : '',
  });
  const set =
    (k: keyof typeof f) =>
    (v: string): void =>
      setF({ ...f, [k]: v });
  const positive = (text: string, what: string, most: number): string[] =>
    text.trim() === '' || ((numberOf(text) ?? 0) > 0 && (numberOf(text) ?? 0) <= most)
      ? []
      : [`${what}: “${text}” cannot be right; leave it empty or give a figure up to ${most}.`];
  const problems = [
    ...(f.name.trim() ? [] : ['Give it a name.']),
    ...positive(f.litres, 'Litres', 100),
    ...positive(f.diameter, 'Diameter', 1000),
    ...positive(f.height, 'Height', 1000),
    ...positive(f.tare, 'Weight', 50_000),
  ];
  const opt = <K extends string>(key: K, text: string): Partial<Record<K, number>> =>
    numberOf(text) ? ({ [key]: numberOf(text) } as Partial<Record<K, number>>) : {};
  const save = (): void => {
    const data: Equipment = {
      id: gear?.id ?? newId(),
      name: f.name.trim(),
      kind: gear?.kind ?? 'pot',
      count: Math.max(0, Math.round(numberOf(f.count) ?? 1)),
      ...opt('litres', f.litres),
      ...opt('diameterMm', f.diameter),
      ...opt('heightMm', f.height),
      ...opt('tareG', f.tare),
    };
    void write([{ table: 'equipment', id: data.id, data }], `${data.name} is noted`);
    onClose();
  };
  return (
    <Sheet
      title={gear ? gear.name : 'A pot'}
      problems={problems}
      onSave={save}
      onClose={onClose}
      onRemove={
        gear &&
        (() => {
          void write([{ table: 'equipment', id: gear.id, data: null }], `${gear.name} is gone`);
          onClose();
        })
      }
    >
      <div className="row wrap" style={{ alignItems: 'flex-start' }}>
        <Field label="Name" value={f.name} onChange={set('name')} />
        <Field label="How many" type="number" width={90} value={f.count} onChange={set('count')} />
        <Field label="Holds" unit="L" type="number" width={90} value={f.litres} onChange={set('litres')} />
      </div>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}>
        <Field label="Inner diameter" unit="mm" type="number" width={140} value={f.diameter} onChange={set('diameter')} />
        <Field label="Inner height" unit="mm" type="number" width={140} value={f.height} onChange={set('height')} />
        <Field label="Empty weight" unit="g" type="number" width={140} value={f.tare} onChange={set('tare')} />
      </div>
    </Sheet>
  );
}
