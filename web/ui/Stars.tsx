import { ActionIcon, Group } from '@mantine/core';
import { IconStar, IconStarFilled } from '@tabler/icons-react';

const words = ['one star', 'two stars', 'three stars', 'four stars', 'five stars'] as const;

/** One to five stars, each a button of its own: one tap says it, another mends it. */
export const Stars = ({ label, value, onChange }: { label: string; value: number; onChange: (stars: number) => void }) => (
  <Group role="group" aria-label={label} gap={0} wrap="nowrap">
    {words.map((says, i) => (
      <ActionIcon
        key={says}
        variant="transparent"
        size="sm"
        c={i < value ? 'var(--saffron-fill)' : 'var(--rim-soft)'}
        aria-label={`${label}: ${says}`}
        aria-pressed={value === i + 1}
        onClick={() => onChange(i + 1)}
      >
        {i < value ? <IconStarFilled size={20} aria-hidden /> : <IconStar size={20} aria-hidden />}
      </ActionIcon>
    ))}
  </Group>
);
