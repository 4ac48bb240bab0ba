import { Button, Group } from '@mantine/core';
import { useFrameQuery } from '../sync/api.ts';

/** The allergens that law names, each on or off. */
export function AllergenChips({ label, value, onChange }: { label: string; value: readonly string[]; onChange: (v: string[]) => void }) {
  const names = useFrameQuery().data?.allergenNames ?? {};
  return (
    <Group gap={8} className="chips" role="group" aria-label={label}>
      {Object.entries(names).map(([id, name]) => {
        const on = value.includes(id);
        return (
          <Button variant="chip" key={id} aria-pressed={on} onClick={() => onChange(on ? value.filter((x) => x !== id) : [...value, id])}>
            {name}
          </Button>
        );
      })}
    </Group>
  );
}
