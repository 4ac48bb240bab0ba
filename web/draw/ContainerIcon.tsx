import type { Container } from '#core/contract';

/** A filled container in a few strokes: tub, bag, pan or jar. */
export function ContainerIcon({ shape, width = 60 }: { shape: Container['shape']; width?: number }) {
  return (
    <svg width={width} height={(width * 76) / 64} viewBox="0 0 64 76" aria-hidden="true">
      {shape === 'bag' && (
        <>
          <rect x="8" y="8" width="48" height="62" rx="6" fill="var(--pale)" stroke="var(--rim)" strokeWidth="2" />
          <path d="M8 18h48" stroke="var(--rim)" strokeWidth="3" />
          <rect x="14" y="30" width="36" height="34" rx="4" fill="var(--frost)" />
        </>
      )}
      {shape === 'pan' && (
        <>
          <path d="M4 30h56l-6 30H10z" fill="var(--card)" stroke="var(--rim)" strokeWidth="2" />
          <path d="M8 38h48l-4 20H12z" fill="var(--frost)" />
          <path d="M1 25h62v5H1z" fill="var(--rim)" />
        </>
      )}
      {shape !== 'bag' && shape !== 'pan' && (
        <>
          <path d="M6 12h52l-4 60H10z" fill="var(--card)" stroke="var(--rim)" strokeWidth="2" />
          <path d="M8.500 30h47l-2.800 42H11.300z" fill="var(--frost)" />
          <path d="M3 7h58v6H3z" fill="var(--rim)" />
          <path d="M8 30h48" stroke="var(--tomato)" strokeDasharray="3 3" strokeWidth="2" />
        </>
      )}
    </svg>
  );
}
