import { Box, type BoxProps } from '@mantine/core';
import type { ComponentPropsWithoutRef } from 'react';
import c from './Columns.module.css';

interface Props extends BoxProps, Omit<ComponentPropsWithoutRef<'div'>, 'style' | 'color'> {
  /** How wide each column is beside the others, or a width of its own. */
  parts?: readonly (number | string)[];
  /** As many columns as there is room for at this width. */
  least?: number;
  /** Those there are share all of the room. */
  fit?: boolean;
  gap?: number;
  align?: 'start' | 'stretch' | 'end' | 'center';
  component?: 'div' | 'ul' | 'dl';
}

/** Columns beside one another; one below the other on a phone. */
export function Columns({ parts, least = 240, fit = false, gap = 16, align = 'stretch', component = 'div', className, ...rest }: Props) {
  return (
    <Box
      component={component as 'div'}
      className={`${c.columns} ${className ?? ''}`}
      {...rest}
      __vars={{
        '--columns':
          parts?.map((p) => (typeof p === 'number' ? `minmax(0, ${p}fr)` : p)).join(' ') ??
          `repeat(${fit ? 'auto-fit' : 'auto-fill'}, minmax(min(100%, ${least}px), 1fr))`,
        '--columns-gap': `${gap}px`,
        '--columns-align': align,
      }}
    />
  );
}
