import { Progress } from '@mantine/core';

const tones = { rim: 'rim', saffron: 'var(--saffron-fill)', tomato: 'tomato' } as const;

/** How full or how far something is, drawn; said as a figure beside it or by its name. */
export function Bar({ label, share, tone = 'rim', mt }: { label: string; share: number; tone?: keyof typeof tones; mt?: number }) {
  return (
    <Progress.Root mt={mt} data-over={tone === 'tomato' || undefined}>
      <Progress.Section value={Math.min(100, share * 100)} color={tones[tone]} aria-label={label} />
    </Progress.Root>
  );
}
