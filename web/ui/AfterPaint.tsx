import type { ReactNode } from 'react';
import { useAfterPaint } from './useAfterPaint.ts';

/** What stands further down is brought once the first picture of what it belongs to has been drawn. */
export const AfterPaint = ({ children }: { children: ReactNode }): ReactNode => (useAfterPaint() ? children : null);
