import { useMantineColorScheme, type MantineColorScheme } from '@mantine/core';

const choices: readonly (readonly [MantineColorScheme, string])[] = [
  ['auto', 'As the device'],
  ['light', 'Light'],
  ['dark', 'Dark'],
];

/** How Tambo looks on this device. */
export function ThemeChoice() {
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  return (
    <div className="chips" role="group" aria-label="Light or dark">
      {choices.map(([value, name]) => (
        <button type="button" key={value} className="chip" aria-pressed={colorScheme === value} onClick={() => setColorScheme(value)}>
          {name}
        </button>
      ))}
    </div>
  );
}
