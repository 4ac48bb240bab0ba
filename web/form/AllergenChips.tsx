import { useMemo } from 'react';
import { useFrameQuery } from '../sync/api.ts';
import { Chips } from './fields.tsx';

/** The allergens that law names, each on or off. */
export function AllergenChips({ label, value, onChange }: { label: string; value: string[]; onChange: (v: string[]) => void }) {
  const names = useFrameQuery().data?.allergenNames;
  const options = useMemo(() => Object.entries(names ?? {}), [names]);
  return <Chips label={label} hidden options={options} value={value} onChange={onChange} />;
}
