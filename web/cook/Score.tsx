import { Card } from '@mantine/core';
import type { TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { kindOf } from './words.ts';

const w = 1150;
const gutter = 96;
const staff = 30;
const lane = 17;

interface Note {
  task: TaskView;
  n: number;
  start: number;
  hands: number;
  end: number;
  lane: number;
}

/** Puts waiting tails on lines so that none runs over another. */
function lanes(notes: Omit<Note, 'lane'>[]): Note[] {
  const free: number[] = [];
  return notes.map((note) => {
    if (note.end <= note.hands) return { ...note, lane: -1 };
    const at = free.findIndex((t) => t <= note.start);
    const row = at < 0 ? free.length : at;
    free[row] = note.end + 6;
    return { ...note, lane: row };
  });
}

/** The session as a score: a stave of hands with numbered blocks, below it what minds itself as thin tails on pots and oven. */
export function Score({ view, at }: { view: SessionParts['cook']; at: (min: number) => string }) {
  const total = view.schedule?.makespanMin ?? 0;
  if (total <= 0) return null;
  const x = (min: number): number => gutter + (min / total) * (w - gutter - 12);
  const notes = view.tasks.flatMap((task, i): Omit<Note, 'lane'>[] =>
    task.startMin === undefined || task.endMin === undefined || task.log?.state === 'done' || task.log?.state === 'skipped'
      ? []
      : [
          {
            task,
            n: i + 1,
            start: task.startMin,
            hands: task.startMin + Math.min(task.handsOnMin, task.endMin - task.startMin),
            end: task.endMin,
          },
        ],
  );
  const oven = lanes(notes.filter((n) => n.task.needs.some((x2) => x2.kind === 'oven')));
  const hob = lanes(notes.filter((n) => n.task.needs.some((x2) => x2.kind === 'hob')));
  const rest = lanes(notes.filter((n) => n.end > n.hands && !n.task.needs.some((x2) => x2.kind === 'oven' || x2.kind === 'hob')));
  const groups = [
    { name: 'Oven', notes: oven },
    { name: 'Hob', notes: hob },
    { name: 'By itself', notes: rest },
  ].filter((g) => g.notes.some((n) => n.lane >= 0));
  const top = 26;
  const cooks = view.session.cooks;
  const base = top + cooks.length * (staff + 14) + 14;
  let y = base;
  const placed = groups.map((g) => {
    const rows = Math.max(...g.notes.map((n) => n.lane)) + 1;
    const from = y;
    y += rows * lane + 8;
    return { ...g, from };
  });
  const kind = (t: TaskView): string => kindOf(view, t);
  const hours = Array.from({ length: Math.floor(total / 60) + 1 }, (_, i) => i * 60);
  return (
    <Card className="noprint" aria-label="Score of the session" tabIndex={0} style={{ overflowX: 'auto' }}>
      <svg
        viewBox={`0 0 ${w} ${y + 4}`}
        width="100%"
        style={{ minWidth: 760 }}
        role="img"
        aria-label={`Hands and pots over time, ${notes.length} tasks; the list below says the same in words`}
      >
        {hours.map((h) => (
          <g key={h}>
            <path d={`M${x(h)} 20V${y}`} stroke="var(--line)" />
            <text x={x(h)} y={14} textAnchor={h === 0 ? 'start' : 'middle'} fontSize="14" fill="var(--quiet)">
              {at(h)}
            </text>
          </g>
        ))}
        {cooks.map((cook, c) => {
          const sy = top + c * (staff + 14);
          return (
            <g key={cook.id}>
              <text x={0} y={sy + 20} fontSize="15" fontWeight="700" fill="var(--ink)">
                {cook.name}
              </text>
              {[0, 1, 2, 3].map((i) => (
                <path key={i} d={`M${gutter} ${sy + 3 + i * 8}H${w - 12}`} stroke="var(--rim-soft)" strokeWidth="0.8" />
              ))}
              {notes
                .filter((n) => (n.task.cook ?? cook.name) === cook.name)
                .map((n) => {
                  const width = Math.max(5, x(n.hands) - x(n.start) - 1);
                  return (
                    <g key={n.task.id}>
                      <title>{`${n.n}. ${n.task.title}`}</title>
                      <rect x={x(n.start)} y={sy} width={width} height={staff} rx="5" fill={`var(--kind-${kind(n.task)})`} />
                      {width > 15 && (
                        <text
                          x={x(n.start) + width / 2}
                          y={sy + 20}
                          textAnchor="middle"
                          fontSize="14"
                          fontWeight="700"
                          fill="var(--on-rim)"
                        >
                          {n.n}
                        </text>
                      )}
                    </g>
                  );
                })}
            </g>
          );
        })}
        {placed.map((g) => (
          <g key={g.name}>
            <text x={0} y={g.from + 12} fontSize="15" fill="var(--ink)">
              {g.name}
            </text>
            {g.notes
              .filter((n) => n.lane >= 0)
              .map((n) => {
                const ny = g.from + n.lane * lane + 8;
                return (
                  <g key={n.task.id}>
                    <title>{`${n.n}. ${n.task.title}`}</title>
                    <path
                      d={`M${x(n.start)} ${ny}H${x(n.end)}`}
                      stroke={`var(--kind-${kind(n.task)})`}
                      strokeWidth="5"
                      strokeLinecap="round"
                      opacity="0.38"
                    />
                    <circle cx={x(n.start)} cy={ny} r="6.5" fill={`var(--kind-${kind(n.task)})`} />
                    <text x={x(n.start) + 11} y={ny + 4.5} fontSize="13" fontWeight="600" fill="var(--ink)">
                      {n.n}
                    </text>
                  </g>
                );
              })}
          </g>
        ))}
      </svg>
    </Card>
  );
}
