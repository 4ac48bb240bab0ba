import { Alert, type AlertProps } from '@mantine/core';
import type { ComponentPropsWithoutRef } from 'react';

const colours = { plain: 'rim', good: 'leaf', warn: 'saffron', bad: 'tomato' } as const;

/** Something to know, on a tinted ground; said aloud only where a role asks for it. */
export function Note({ tone = 'plain', role, ...rest }: AlertProps & ComponentPropsWithoutRef<'div'> & { tone?: keyof typeof colours }) {
  return (
    <Alert
      color={colours[tone]}
      {...(tone === 'plain' ? { bg: 'var(--pale)', c: 'var(--ink)' } : { c: `var(--${colours[tone]})` })}
      {...rest}
      role={role ?? 'note'}
    />
  );
}
