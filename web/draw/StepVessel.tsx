import type { Step } from '#core/contract';
import { workFacts, type Place } from '#core/recipe';

/** Where a step stands, drawn: what only goes into a pot stands where the pot does. */
export const placeOfStep = (step: Step, steps: readonly Step[] = [], depth = 0): Place => {
  if ((step.kind === 'mix' || step.kind === 'finish') && depth < 20) {
    const from = steps.filter((s) => step.takes?.includes(s.id)).map((s) => placeOfStep(s, steps, depth + 1));
    if (from.includes('hob')) return 'hob';
  }
  if (step.kind) return workFacts[step.kind].place;
  const need = step.needs[0]?.kind;
  return need === 'oven'
    ? 'oven'
    : need === 'blender' || need === 'processor'
      ? 'machine'
      : need === 'steamer'
        ? 'steamer'
        : need
          ? 'hob'
          : 'board';
};

const outline = { fill: 'var(--pale)', stroke: 'var(--rim)', strokeWidth: 2.6, strokeLinejoin: 'round', strokeLinecap: 'round' } as const;
const line = { ...outline, fill: 'none' } as const;

/** Drawings on a ground of 120 by 62, standing at the lower edge; the number's place is said with each. */
const drawings: Record<Place, { at: readonly [x: number, y: number]; draw: React.ReactNode }> = {
  hob: {
    at: [60, 44],
    draw: (
      <>
        <path d="M18 20V50a9 9 0 0 0 9 9H93a9 9 0 0 0 9-9V20" {...outline} />
        <path d="M8 28H18M102 28H112" {...line} strokeWidth={5} />
      </>
    ),
  },
  oven: {
    at: [60, 46],
    draw: (
      <>
        <rect x="20" y="6" width="80" height="53" rx="6" {...outline} />
        <path d="M20 19H100M34 12.500h.1M44 12.500h.1M54 12.500h.1" {...line} strokeWidth={3} />
        <path d="M34 55h52" {...line} stroke="var(--saffron-fill)" strokeWidth={3} />
      </>
    ),
  },
  bowl: { at: [60, 45], draw: <path d="M16 22H104C104 46 86 59 60 59S16 46 16 22Z" {...outline} /> },
  board: {
    at: [56, 50],
    draw: (
      <>
        <rect x="14" y="34" width="84" height="24" rx="6" {...outline} fill="var(--wood)" />
        <path d="M102 46h8" {...line} strokeWidth={6} stroke="var(--kind-bread)" />
        <path d="M62 30l34-16 4 5-30 13z" {...outline} fill="var(--frost)" strokeWidth={2} />
      </>
    ),
  },
  machine: {
    at: [60, 38],
    draw: (
      <>
        <path d="M38 4H82L76 44H44Z" {...outline} />
        <path d="M42 47H78L82 59H38Z" {...outline} fill="var(--frost)" />
        <path d="M52 41l8-6 8 6" {...line} stroke="var(--kind-base)" />
      </>
    ),
  },
  steamer: {
    at: [60, 48],
    draw: (
      <>
        <path d="M22 32H98V50a9 9 0 0 1-9 9H31a9 9 0 0 1-9-9Z" {...outline} />
        <path d="M26 14H94V30H26Z" {...outline} fill="var(--frost)" />
        <path d="M44 8c-4-4 4-4 0-8M60 8c-4-4 4-4 0-8M76 8c-4-4 4-4 0-8" {...line} strokeWidth={2} stroke="var(--rim-soft)" />
      </>
    ),
  },
  sieve: {
    at: [54, 38],
    draw: (
      <>
        <path d="M18 18H90C90 38 76 48 54 48S18 38 18 18Z" {...outline} strokeDasharray="3 4" />
        <path d="M90 18h24" {...line} strokeWidth={4} />
        <path d="M42 52v7M54 52v7M66 52v7" {...line} stroke="var(--kind-broth)" strokeWidth={2} />
      </>
    ),
  },
  dish: { at: [60, 49], draw: <path d="M12 30H108L98 54a6 6 0 0 1-5 4H27a6 6 0 0 1-5-4Z" {...outline} /> },
  cold: {
    at: [60, 46],
    draw: (
      <>
        <path d="M12 32H108V52a6 6 0 0 1-6 6H18a6 6 0 0 1-6-6Z" {...outline} fill="var(--frost)" stroke="var(--kind-broth)" />
        <path d="M60 2v22M50 7l20 12M70 7L50 19" {...line} stroke="var(--kind-broth)" strokeWidth={2.2} />
      </>
    ),
  },
  table: {
    at: [60, 46],
    draw: (
      <>
        <ellipse cx="60" cy="42" rx="44" ry="17" {...outline} />
        <ellipse cx="60" cy="40" rx="28" ry="9" {...line} strokeWidth={1.6} />
      </>
    ),
  },
};

/** A board, pot, oven or bowl with the step's number in it. */
export function StepVessel({ place, n }: { place: Place; n: number }) {
  const { at, draw } = drawings[place];
  return (
    <svg viewBox="0 0 120 62" width="120" height="62" aria-hidden>
      {draw}
      <text
        x={at[0]}
        y={at[1]}
        textAnchor="middle"
        dominantBaseline="middle"
        fontFamily="var(--display)"
        fontWeight="700"
        fontSize="19"
        fill="var(--rim)"
      >
        {n}
      </text>
    </svg>
  );
}
