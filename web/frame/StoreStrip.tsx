import { useElementSize } from '@mantine/hooks';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { addDays, addMonths, countOf, daysBetween, sayDayYear, shortMonth } from '#core/kitchen';
import { kindPaths } from '#core/pack';
import type { StripMark } from '#core/queries';
import css from './StoreStrip.module.css';

const size = 9;
const rowStep = 9.7;
const span = 365;

/** Room for the strip: columns of four at a table, one row on a phone. */
const table = { height: 64, left: 52, baseline: 48, most: 4, months: true };
const phone = { height: 52, left: 16, baseline: 38, most: 1, months: false };
const phoneBelowPx = 480;

interface Column {
  x: number;
  marks: StripMark[];
}

const sayDue = ({ due }: StripMark): string =>
  due.reason === 'undated'
    ? 'date not known'
    : `${due.reason === 'bestBy' ? 'best by' : 'out of the freezer, eat by'} ${sayDayYear(due.day)}`;

/** Marks by their day on a true time scale; those that would overlap stand in one column. Overdue ones are left of the stitch, later ones at the right edge. */
function columnsOf(marks: readonly StripMark[], xOf: (days: number) => number, left: number, edge: number, near: number): Column[] {
  const columns: Column[] = [];
  for (const mark of marks) {
    // what nobody can date stands before all the rest
    const days = mark.due.daysLeft ?? -Infinity;
    const x =
      days < 0
        ? Math.max(6, left - 12 - Math.min(30, Math.floor(Math.min(365, -days) / 14) * 11))
        : days > span
          ? edge
          : xOf(days) + size / 2 + 2;
    const last = columns[columns.length - 1];
    if (last && x - last.x < near) last.marks.push(mark);
    else columns.push({ x, marks: [mark] });
  }
  return columns;
}

/** The household's wealth at a glance: one mark a pack, at the day it is due. Arrow keys walk it, a drag over a span filters Store. */
export function StoreStrip({ marks, today }: { marks: readonly StripMark[]; today: string }) {
  const navigate = useNavigate();
  const box = useElementSize();
  const [at, setAt] = useState(0);
  const svg = useRef<SVGSVGElement>(null);
  const [brush, setBrush] = useState<[number, number] | undefined>();
  const width = Math.max(120, box.width || 860);
  const { height, left, baseline, most, months: lettered } = width < phoneBelowPx ? phone : table;
  const right = width - 26;
  const xOf = (days: number): number => left + (Math.min(days, span) / span) * (right - left);
  const columns = columnsOf(marks, xOf, left, right + 12, lettered ? size + 1 : 16);
  const placed = columns.flatMap((c) => c.marks.slice(0, most).map((m, i) => ({ ...m, x: c.x, y: baseline - 6 - i * rowStep })));
  const current = Math.min(at, placed.length - 1);

  const onKey = (e: KeyboardEvent): void => {
    const step = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0) return;
    e.preventDefault();
    const next = Math.max(0, Math.min(placed.length - 1, current + step));
    setAt(next);
    svg.current?.querySelectorAll('a')[next]?.focus();
  };
  const pointX = (e: PointerEvent): number => e.clientX - (svg.current?.getBoundingClientRect().left ?? 0);
  const dayAt = (x: number): string => addDays(today, Math.round(((Math.max(left, Math.min(right, x)) - left) / (right - left)) * span));
  const endBrush = (): void => {
    if (brush && Math.abs(brush[1] - brush[0]) > 12)
      void navigate(`/store?from=${dayAt(Math.min(...brush))}&to=${dayAt(Math.max(...brush))}`);
    setBrush(undefined);
  };
  const months = Array.from({ length: 12 }, (_, i) => addMonths(`${today.slice(0, 7)}-01`, i + 1)).filter(
    (d) => daysBetween(today, d) < span - 8,
  );
  return (
    <div
      ref={box.ref}
      className={css.strip}
      {...(lettered && {
        role: 'group',
        'aria-label': `${countOf(marks.length, 'pack')} by best-by day; arrow keys walk them`,
        onKeyDown: onKey,
      })}
    >
      {!lettered && (
        <Link to="/store" className={css.whole} aria-label={`${countOf(marks.length, 'pack')} by best-by day: open the store`} />
      )}
      <svg
        ref={svg}
        {...(!lettered && { 'aria-hidden': true })}
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        onPointerDown={(e) => setBrush([pointX(e), pointX(e)])}
        onPointerMove={(e) => brush && setBrush([brush[0], pointX(e)])}
        onPointerUp={endBrush}
        onPointerLeave={() => setBrush(undefined)}
      >
        <path d={`M${left} ${baseline + 0.5}H${right}`} stroke="var(--rim-soft)" />
        {months.map((d) => {
          const x = xOf(daysBetween(today, d));
          return (
            <g key={d}>
              <path d={`M${x} ${baseline - 3}v6`} stroke="var(--rim-soft)" />
              {lettered && (
                <text x={x + 3} y={height - 3}>
                  {shortMonth(d)}
                </text>
              )}
            </g>
          );
        })}
        <path d={`M${left} 4V${baseline + 4}`} stroke="var(--tomato)" strokeWidth="2" strokeDasharray="4 3" />
        {lettered && (
          <text x={left - 5} y={height - 3} textAnchor="end" style={{ fill: 'var(--tomato)' }}>
            today
          </text>
        )}
        {marks.length === 0 && (
          <text x={left + 14} y={26} style={{ fontSize: 14 }}>
            {lettered ? 'Each pack will stand here at the day it is due' : 'packs by their day'}
          </text>
        )}
        {brush && (
          <rect x={Math.min(...brush)} y={0} width={Math.abs(brush[1] - brush[0])} height={baseline} fill="var(--frost)" opacity="0.7" />
        )}
        {placed.map((m, i) =>
          lettered ? (
            <a
              key={m.packId}
              href={`/p/${m.code}`}
              tabIndex={i === current ? 0 : -1}
              aria-label={`${m.name}, ${m.kind}, ${sayDue(m)}`}
              onFocus={() => setAt(i)}
              onClick={(e) => {
                e.preventDefault();
                void navigate(`/p/${m.code}`);
              }}
            >
              <title>{`${m.name}, ${sayDue(m)}`}</title>
              <rect
                className={css.ring}
                x={m.x - size / 2 - 0.5}
                y={m.y - size / 2 - 0.5}
                width={size + 1}
                height={size + 1}
                fill="transparent"
                rx="2"
              />
              <path
                d={kindPaths[m.kind]}
                transform={`translate(${m.x - size / 2} ${m.y - size / 2}) scale(${size / 20})`}
                fill={`var(--kind-${m.kind})`}
              />
            </a>
          ) : (
            <path
              key={m.packId}
              d={kindPaths[m.kind]}
              transform={`translate(${m.x - size / 2} ${m.y - size / 2}) scale(${size / 20})`}
              fill={`var(--kind-${m.kind})`}
            />
          ),
        )}
        {columns
          .filter((c) => c.marks.length > most)
          .map((c) => (
            <text
              key={c.x}
              x={lettered ? c.x + size / 2 + 2 : c.x}
              y={lettered ? 13 : 24}
              textAnchor={lettered ? 'start' : 'middle'}
              style={{ fontSize: 12, fill: 'var(--ink)' }}
            >
              {lettered ? `+${c.marks.length - most}` : c.marks.length}
            </text>
          ))}
      </svg>
    </div>
  );
}
