import type { Kind } from '#core/contract';
import type { RecipeBrief } from '#core/queries';

type Shape = RecipeBrief['becomes']['shape'];

/** Drawn at most; the rest is said as a number beside them. */
const most: Readonly<Record<Exclude<Shape, 'pan'>, number>> = { tub: 12, bag: 12, loaf: 10, jar: 8, cubes: 24 };
/** Room of one, in points of the drawing. */
const room: Readonly<Record<Exclude<Shape, 'pan'>, number>> = { tub: 22, bag: 22, loaf: 26, jar: 20, cubes: 12 };
const height = 30;
const mostCuts = 16;

function One({ shape }: { shape: Exclude<Shape, 'pan'> }) {
  switch (shape) {
    case 'tub':
      return (
        <>
          <path d="M2 9h16l-2 18H4z" fill="currentColor" />
          <path d="M0 5h20v4H0z" fill="var(--rim)" />
        </>
      );
    case 'bag':
      return (
        <>
          <rect x="1" y="6" width="17" height="22" rx="3" fill="currentColor" />
          <path d="M1 10h17" stroke="var(--card)" strokeWidth="2" />
        </>
      );
    case 'loaf':
      return <path d="M2 27V15a6 6 0 0 1 6-6h8a6 6 0 0 1 6 6v12z" fill="currentColor" />;
    case 'jar':
      return (
        <>
          <rect x="2" y="9" width="14" height="19" rx="3" fill="currentColor" />
          <path d="M4 4h10v4H4z" fill="var(--rim)" />
        </>
      );
    case 'cubes':
      return <rect width="9" height="9" rx="2" fill="currentColor" />;
  }
}

/** One pan, cut into its portions. */
function Pan({ count, kind }: { count: number; kind: Kind }) {
  const cuts = Math.max(1, Math.ceil(Math.min(count, mostCuts) / 2));
  const width = cuts * 18;
  return (
    <svg
      width={width + 16}
      height={height}
      viewBox={`0 0 ${width + 16} ${height}`}
      aria-hidden="true"
      style={{ color: `var(--kind-${kind})` }}
    >
      <path d={`M0 3h${width + 16}v4H0zM4 7h${width + 8}v22H4z`} fill="var(--rim)" />
      {Array.from({ length: cuts * 2 }, (_, i) => (
        <rect
          key={i}
          x={8 + (i % cuts) * 18}
          y={9 + Math.floor(i / cuts) * 10}
          width="16"
          height="8.500"
          rx="1.500"
          fill={i < count ? 'var(--pale)' : 'none'}
          opacity="0.9"
        />
      ))}
    </svg>
  );
}

/** What a recipe becomes, in its kind's colour: so many tubs, bags, pans, loaves, jars or cubes. */
export function Becomes({ becomes: { shape, count }, kind }: { becomes: RecipeBrief['becomes']; kind: Kind }) {
  if (shape === 'pan') return <Pan count={count} kind={kind} />;
  const shown = Math.min(count, most[shape]);
  const rows = shape === 'cubes' && shown > 12 ? 2 : 1;
  const perRow = Math.ceil(shown / rows);
  const width = perRow * room[shape] + (count > shown ? 44 : 0);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      style={{ color: `var(--kind-${kind})`, maxWidth: '100%' }}
    >
      {Array.from({ length: shown }, (_, i) => (
        <g key={i} transform={`translate(${(i % perRow) * room[shape]} ${shape === 'cubes' ? 4 + Math.floor(i / perRow) * 12 : 0})`}>
          <One shape={shape} />
        </g>
      ))}
      {count > shown && (
        <text x={perRow * room[shape] + 4} y={21} fontSize="14" fontWeight="600" fill="var(--quiet)">
          +{count - shown}
        </text>
      )}
    </svg>
  );
}
