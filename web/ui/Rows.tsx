import { Box, type BoxProps } from '@mantine/core';
import type { ComponentPropsWithoutRef } from 'react';
import c from './Rows.module.css';

/** A list of things, one a line, with a hair between them. */
export function Rows({ component = 'ul', className, ...rest }: BoxProps & ComponentPropsWithoutRef<'ul'> & { component?: 'ul' | 'ol' }) {
  return (
    <Box
      component={component as 'ul'}
      className={`${c.rows} ${className ?? ''}`}
      data-scrolls={rest.mah !== undefined || undefined}
      {...rest}
    />
  );
}
