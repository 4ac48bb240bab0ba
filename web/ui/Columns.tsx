import { Box, type BoxProps } from '@mantine/core';
import type { ComponentPropsWithoutRef } from 'react';
import c from './Columns.module.css';

interface Props extends BoxProps, Omit<ComponentPropsWithoutRef<'div'>, 'style' | 'color'> {
  /** How wide each column is beside the others, or a width of its own. */
  parts?: readonly (number | string)[];
  /** As many columns as there is room for at this width. */
  least?: number;
  gap?: number;
  align?: 'start' | 'stretch' | 'end' | 'center';
}

/** Columns beside one another; one below the other on a phone. */
export function Columns({ parts, least = 240, gap = 16, align = 'stretch', className, ...rest }: Props) {
  return (
    <Box
      className={`${c.columns} ${className ?? ''}`}
      {...rest}
      __vars={{
        '--columns':
          parts?.map((p) => (typeof p === 'number' ? `minmax(0, ${p}fr)` : p)).join(' ') ??
          `repeat(auto-fill, minmax(min(100%, ${least}px), 1fr))`,
        '--columns-gap': `${gap}px`,
        '--columns-align': align,
      }}
    />
  );
}
