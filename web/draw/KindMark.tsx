import type { Kind } from '#core/contract';
import { kindPaths } from '#core/pack';

/** A kind's shape in its colour; the name is said when it stands alone. */
export function KindMark({ kind, size = 20, alone = false, color }: { kind: Kind; size?: number; alone?: boolean; color?: string }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 20 20"
      {...(alone ? { role: 'img', 'aria-label': kind } : { 'aria-hidden': true })}
      style={{ color: color ?? `var(--kind-${kind})`, flex: 'none', verticalAlign: -4 }}
    >
      <path d={kindPaths[kind]} fill="currentColor" />
    </svg>
  );
}
