import type { Step } from '#core/contract';
import { earliest, workFacts, type EarlyStep } from '#core/recipe';
import { sayMinutes } from '#core/kitchen';
import { useFrameQuery } from '../sync/api.ts';

const rowHeight = 62;
const top = 26;
const width = 780;
const left = 8;

/** Marks every so many minutes, so that there are about eight. */
const tickOf = (minutes: number): number => [5, 10, 15, 30, 60, 120, 240, 480].find((t) => minutes / t <= 9) ?? 960;

const clip = (text: string, room: number): string => {
  const letters = Math.max(4, Math.floor(room / 7.2));
  return text.length > letters ? `${text.slice(0, letters - 1).trimEnd()}…` : text;
};

/** Steps over time at their earliest: solid is hands, pale minds itself; lines show what waits for what. */
export function MethodTime({ steps, onChoose }: { steps: readonly Step[]; onChoose?: (id: string) => void }) {
  const cooling = useFrameQuery().data?.figures;
  const early = earliest(steps);
  const total = Math.max(10, ...early.map((e) => e.end));
  const tick = tickOf(total);
  const rows = Math.max(1, ...early.map((e) => e.row + 1));
  const x = (minutes: number): number => left + (minutes / total) * (width - left * 2 - 60);
  const y = (e: EarlyStep): number => top + e.row * rowHeight;
  const height = top + rows * rowHeight + 26;
  const at = new Map(early.map((e) => [e.step.id, e]));
  const hands = early.reduce((s, e) => s + e.step.handsOnMin, 0);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`Steps over time: ${sayMinutes(Math.round(hands))} of hands, ${sayMinutes(Math.round(total))} from the first step to the last at the soonest`}
    >
      {early.flatMap((e) =>
        e.step.after.flatMap((id) => {
          const from = at.get(id);
          if (!from) return [];
          const takes = e.step.takes?.includes(id) ?? true;
          const [x0, y0, x1, y1] = [x(from.end), y(from) + 14, x(e.start), y(e) + 14];
          const bend = Math.max(12, (x1 - x0) / 2);
          return [
            <path
              key={`${id} ${e.step.id}`}
              d={`M${x0} ${y0}C${x0 + bend} ${y0} ${x1 - bend} ${y1} ${x1} ${y1}`}
              fill="none"
              stroke={takes ? 'var(--saffron-fill)' : 'var(--rim-soft)'}
              strokeWidth="1.800"
              strokeDasharray={takes ? undefined : '4 4'}
            />,
          ];
        }),
      )}
      {early.map((e) => {
        const cold = e.step.kind === 'cool';
        const colour = cold
          ? 'var(--kind-broth)'
          : e.step.kind && workFacts[e.step.kind].place === 'board'
            ? 'var(--kind-aromatic)'
            : 'var(--rim)';
        const next = Math.min(width, ...early.filter((o) => o.row === e.row && o.start > e.start).map((o) => x(o.start)));
        return (
          <g key={e.step.id} {...(onChoose && { onClick: () => onChoose(e.step.id), style: { cursor: 'pointer' } })}>
            <text x={x(e.start)} y={y(e) - 5} fontSize="15" fontWeight="700" fill="var(--ink)">
              {clip(`${e.n + 1} ${e.step.text}`, next - x(e.start) - 8)}
            </text>
            {e.end > e.handsEnd && (
              <rect
                x={x(e.start)}
                y={y(e) + 8}
                width={Math.max(4, x(e.end) - x(e.start))}
                height="12"
                rx="6"
                fill="var(--frost)"
                stroke="var(--rim-soft)"
              />
            )}
            <rect x={x(e.start)} y={y(e)} width={Math.max(7, x(e.handsEnd) - x(e.start))} height="28" rx="6" fill={colour} />
            {cold && cooling && (
              <g>
                <path
                  d={`M${x(e.start)} ${y(e) + 34}v6H${Math.min(width - 4, x(e.start + cooling.cool21))}v-6`}
                  fill="none"
                  stroke="var(--tomato)"
                  strokeWidth="2"
                />
                <text x={Math.min(x(e.start), width - 240)} y={y(e) + 55} fontSize="13" fill="var(--tomato)">
                  off the heat to 21 °C: {sayMinutes(cooling.cool21)} at most
                </text>
              </g>
            )}
          </g>
        );
      })}
      <path d={`M${left} ${height - 22}H${width - left}`} stroke="var(--line)" strokeWidth="1.500" />
      {Array.from({ length: Math.floor(total / tick) + 1 }, (_, i) => i * tick).map((m) => (
        <text key={m} x={x(m)} y={height - 6} fontSize="13" fill="var(--quiet)" textAnchor={m === 0 ? 'start' : 'middle'}>
          {m === 0 ? '0 min' : sayMinutes(m)}
        </text>
      ))}
    </svg>
  );
}
