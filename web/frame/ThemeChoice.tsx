import { Button, Group, type MantineColorScheme, useMantineColorScheme } from '@mantine/core';

const choices: readonly (readonly [MantineColorScheme, string])[] = [
  ['auto', 'As the device'],
  ['light', 'Light'],
  ['dark', 'Dark'],
];

/** How Tambo looks on this device. */
export function ThemeChoice() {
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  return (
    <Group gap={8} className="chips" role="group" aria-label="Light or dark">
      {choices.map(([value, name]) => (
        <Button variant="chip" key={value} aria-pressed={colorScheme === value} onClick={() => setColorScheme(value)}>
          {name}
        </Button>
      ))}
    </Group>
  );
}
