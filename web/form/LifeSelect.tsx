import { NativeSelect } from '@mantine/core';

/** How a dish keeps: a row of the storage table, by its groups. */
export function LifeSelect({
  label,
  lives,
  value,
  onChange,
}: {
  label: string;
  lives: readonly { id: string; group: string; item: string }[];
  value: string;
  onChange: (id: string) => void;
}) {
  const groups = [...new Set(lives.map((l) => l.group))];
  return (
    <NativeSelect w="100%" label={label} value={value} onChange={(e) => onChange(e.currentTarget.value)}>
      {groups.map((g) => (
        <optgroup key={g} label={g}>
          {lives
            .filter((l) => l.group === g)
            .map((l) => (
              <option key={l.id} value={l.id}>
                {l.item}
              </option>
            ))}
        </optgroup>
      ))}
    </NativeSelect>
  );
}
