import { Badge, Group } from '@mantine/core';

/** A fingerprint in words, read out over a table. */
export const Words = ({ words }: { words: readonly string[] }) => (
  <Group component="ol" gap={8} m={0} p={0} style={{ listStyle: 'none' }} aria-label="Fingerprint in words">
    {words.map((w, i) => (
      <Badge component="li" key={`${i} ${w}`} size="lg">
        {w}
      </Badge>
    ))}
  </Group>
);
