import { Button, Group } from '@mantine/core';

/** One of a few ways to look at the same thing, each a chip. */
export function Either<T extends string>({
  name,
  value,
  ways,
  onChange,
}: {
  name: string;
  value: T;
  ways: Readonly<Record<T, string>>;
  onChange: (way: T) => void;
}) {
  return (
    <Group gap={6} className="chips" role="group" aria-label={name} wrap="nowrap" flex="none">
      {(Object.entries(ways) as [T, string][]).map(([way, label]) => (
        <Button key={way} variant="chip" aria-pressed={way === value} onClick={() => onChange(way)}>
          {label}
        </Button>
      ))}
    </Group>
  );
}
