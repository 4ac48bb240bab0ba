import { Box } from '@mantine/core';
import { stages, type SessionState } from '#core/session';

/** A session's road as six jars on a board: each fills with the dishes that have that step behind them; the next one to fill is edged in saffron. */
export function RoadShelf({ state, width = 560 }: { state: SessionState; width?: number }) {
  const step = width / stages.length;
  return (
    <Box
      component="svg"
      visibleFrom="sm"
      width={width}
      height="66"
      viewBox={`0 0 ${width} 66`}
      role="img"
      aria-label={stages.map((s) => `${s}: ${state.counts[s]} of ${state.batches}`).join(', ')}
    >
      <path d={`M4 45.500H${width - 4}`} stroke="var(--kind-bread)" strokeWidth="5" strokeLinecap="round" />
      {stages.map((stage, i) => {
        const x = i * step + step / 2;
        const share = state.batches === 0 ? 0 : state.counts[stage] / state.batches;
        const next = state.next === stage;
        const inner = 29;
        return (
          <g key={stage}>
            {share > 0 && (
              <rect x={x - 13} y={42 - inner * share} width="26" height={inner * share} rx="4" fill="var(--rim)" opacity="0.88" />
            )}
            <path
              d={`M${x - 14} 14h28v25a4 4 0 0 1-4 4h-20a4 4 0 0 1-4-4z`}
              fill="none"
              stroke={next ? 'var(--saffron-fill)' : 'var(--rim)'}
              strokeWidth={next ? 3 : 1.8}
            />
            <rect
              x={x - 11}
              y={7}
              width="22"
              height="6"
              rx="2"
              fill={share === 1 ? 'var(--rim)' : 'var(--card)'}
              stroke={next ? 'var(--saffron-fill)' : 'var(--rim)'}
              strokeWidth={next ? 2.4 : 1.6}
            />
            {share > 0 && share < 1 && (
              <text
                x={x}
                y={share >= 0.45 ? 39 : 27}
                textAnchor="middle"
                fontSize="12"
                fontWeight="700"
                fill={share >= 0.45 ? 'var(--on-rim)' : 'var(--ink)'}
              >
                {state.counts[stage]}/{state.batches}
              </text>
            )}
            <text x={x} y={63} textAnchor="middle" fontSize="14" fontWeight={next ? 700 : 400} fill="var(--ink)">
              {stage}
            </text>
          </g>
        );
      })}
    </Box>
  );
}
