import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { useRef } from 'react';
import { sayMinutes } from '#core/kitchen';
import { shortTitle } from '#core/session';
import type { Pin } from '#core/cook';
import type { SessionParts } from '#core/queries';
import { kindOf } from './words.ts';
import type { ScoreLine, ScoreNote, ScoreRows } from './scoreRows.ts';
import c from './Score.module.css';

const gutter = 104;
const right = 14;
const whole = 1130;
const staveH = 36;
const staveGap = 16;
const laneH = 25;
const top = 30;
/** Closer up, a minute is so wide. */
const closePerMin = 6;
/** An arrow key moves a task by so many minutes. */
const keyMin = 5;
/** How far right and down each arrow key goes. */
const arrows: Record<string, readonly [number, number]> = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] };
/** A word needs about so much room a letter. */
const letterW = 6.3;

interface Look {
  rows: ScoreRows;
  view: SessionParts['cook'];
  at: (min: number) => string;
  x: (min: number) => number;
}

/** A block of hands: its number, and where it was put by hand a pin. It is dragged, or carried by Space and arrows. */
function Block({ note, y, look, scale }: { note: ScoreNote; y: number; look: Look; scale: () => number }) {
  const { x, view, at } = look;
  const { task } = note;
  const fixed = note.past || task.log !== undefined;
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({ id: task.id, disabled: fixed });
  const width = Math.max(6, x(note.handsEndMin) - x(note.startMin) - 1.5);
  const k = scale();
  const says = `${note.n}. ${task.title}, ${task.cook ?? ''} ${at(note.startMin)}, ${sayMinutes(Math.max(1, note.handsEndMin - note.startMin))} of hands${task.pinned ? ', pinned' : ''}`;
  return (
    <g
      ref={setNodeRef as unknown as React.Ref<SVGGElement>}
      className={c.block}
      data-past={fixed || undefined}
      data-dragging={isDragging || undefined}
      transform={transform ? `translate(${transform.x * k} ${transform.y * k})` : undefined}
      {...(fixed ? {} : { ...attributes, ...listeners })}
      {...(fixed ? { role: 'img' } : { role: 'button' })}
      aria-label={says}
    >
      <title>{says}</title>
      {task.washMin !== undefined && (
        <rect x={x(note.startMin - task.washMin)} y={y + staveH - 7} width={x(task.washMin) - x(0)} height={7} fill="var(--rim-soft)" />
      )}
      <rect x={x(note.startMin)} y={y} width={width} height={staveH} rx="6" fill={`var(--kind-${kindOf(view, task)})`} />
      {width > 17 && (
        <text x={x(note.startMin) + width / 2} y={y + 23.5} textAnchor="middle" fontSize="15" fontWeight="700" fill="var(--on-rim)">
          {note.n}
        </text>
      )}
      {task.pinned && <circle cx={x(note.startMin) + width / 2} cy={y - 5} r="4" fill="var(--tomato)" />}
    </g>
  );
}

/** What minds itself: a dot where it begins, a tail to where it ends, its words beside; a limit of time is a bracket. */
function Tail({ note, next, y, look }: { note: ScoreLine['notes'][number]; next: number; y: number; look: Look }) {
  const { x, view, at } = look;
  const colour = `var(--kind-${kindOf(view, note.task)})`;
  const room = x(next) - x(note.startMin) - 14;
  const words = `${note.n} ${shortTitle(note.task.title).toLowerCase()}`;
  const limit = note.task.windows?.some((w) => w.why === 'cooling');
  return (
    <g>
      <title>{`${note.n}. ${note.task.title}, ${at(note.startMin)} to ${at(note.endMin)}`}</title>
      <path d={`M${x(note.startMin)} ${y}H${x(note.endMin)}`} stroke={colour} strokeWidth="5" strokeLinecap="round" opacity="0.42" />
      <circle cx={x(note.startMin)} cy={y} r="6" fill={colour} />
      <text x={x(note.startMin) + 10} y={y - 5} fontSize="13" fill="var(--ink)" stroke="var(--card)" strokeWidth="3" paintOrder="stroke">
        {words.length * letterW <= room ? words : note.n}
      </text>
      {limit && <path d={`M${x(note.startMin)} ${y + 4}v5H${x(note.endMin)}v-5`} fill="none" stroke="var(--tomato)" strokeWidth="1.6" />}
    </g>
  );
}

/** The frost over what is past; its edge is now. */
function Frost({ x, height }: { x: (min: number) => number; height: number }) {
  const edge = x(0);
  const bumps = Math.floor((height - 20) / 15);
  return (
    <g pointerEvents="none">
      <rect x={gutter} y={20} width={Math.max(0, edge - gutter)} height={height - 20} fill="var(--pale)" opacity="0.72" />
      {Array.from({ length: bumps }, (_, i) => (
        <circle key={i} cx={edge} cy={27 + i * 15} r="5" fill="var(--frost)" />
      ))}
      <path d={`M${edge} 18V${height}`} stroke="var(--rim)" strokeWidth="2.5" />
    </g>
  );
}

/** The session as a score: a stave of hands for each cook with numbered blocks, below it what minds itself on stove, oven and ice; frost over what is past. */
export function Score({
  rows,
  view,
  at,
  close,
  onMove,
}: {
  rows: ScoreRows;
  view: SessionParts['cook'];
  at: (min: number) => string;
  /** Closer up: it scrolls sideways. */
  close: boolean;
  onMove: (to: Pin) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const span = Math.max(30, rows.toMin - rows.fromMin);
  const w = close ? Math.max(whole, Math.round(gutter + right + span * closePerMin)) : whole;
  const perMin = (w - gutter - right) / span;
  const x = (min: number): number => gutter + (min - rows.fromMin) * perMin;
  const scale = (): number => w / (svg.current?.getBoundingClientRect().width || w);
  const look: Look = { rows, view, at, x };
  const base = top + rows.staves.length * (staveH + staveGap) + 12;
  const tops = rows.lines.map((_, i) => base + rows.lines.slice(0, i).reduce((sum, l) => sum + l.lanes, 0) * laneH);
  const height = base + rows.lines.reduce((sum, l) => sum + l.lanes, 0) * laneH + 12;
  const step = span > 420 ? 60 : 30;
  const offset = ((minuteAt(at(0)) % step) + step) % step;
  const marks = Array.from(
    { length: Math.ceil(span / step) + 1 },
    (_, i) => Math.ceil((rows.fromMin + offset) / step) * step - offset + i * step,
  ).filter((m) => m >= rows.fromMin && m <= rows.toMin);
  // counted, since keys may come faster than what they move is drawn
  const pressed = useRef({ right: 0, down: 0 });
  const byKey: KeyboardCoordinateGetter = (event, { currentCoordinates: { x: cx, y: cy } }) => {
    const [right, down] = arrows[event.code] ?? [0, 0];
    if (right === 0 && down === 0) return undefined;
    pressed.current.right += right;
    pressed.current.down += down;
    return { x: cx + (right * keyMin * perMin) / scale(), y: cy + (down * (staveH + staveGap)) / scale() };
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: byKey }),
  );
  const drop = ({ active, delta, activatorEvent }: DragEndEvent): void => {
    const k = scale();
    const [minutes, down] =
      activatorEvent instanceof KeyboardEvent
        ? [pressed.current.right * keyMin, pressed.current.down]
        : [(delta.x * k) / perMin, Math.round((delta.y * k) / (staveH + staveGap))];
    const from = rows.staves.findIndex((s) => s.notes.some((n) => n.task.id === active.id));
    const note = rows.staves[from]?.notes.find((n) => n.task.id === active.id);
    if (!note) return;
    const to = Math.max(0, Math.min(rows.staves.length - 1, from + down));
    const startMin = Math.max(0, Math.round(note.startMin + minutes));
    if (to === from && startMin === note.startMin) return;
    onMove({ taskId: note.task.id, startMin, ...(rows.staves[to] && { cookId: rows.staves[to].cookId }) });
  };
  return (
    <DndContext
      sensors={sensors}
      autoScroll={false}
      onDragStart={() => void (pressed.current = { right: 0, down: 0 })}
      onDragEnd={drop}
      accessibility={{
        screenReaderInstructions: {
          draggable: `Space picks the task up, left and right move it by ${keyMin} minutes, up and down to another cook, Space puts it down, Escape leaves it.`,
        },
      }}
    >
      <svg
        ref={svg}
        viewBox={`0 0 ${w} ${height}`}
        width={close ? w : '100%'}
        style={{ minWidth: close ? undefined : 820, display: 'block' }}
        role="group"
        aria-label="Hands and pots over time; the lists below say the same in words"
      >
        {marks.map((m) => (
          <g key={m}>
            <path d={`M${x(m)} 22V${height}`} stroke="var(--line)" />
            <text x={x(m)} y={15} textAnchor={m === rows.fromMin ? 'start' : 'middle'} fontSize="13" fill="var(--quiet)">
              {at(m)}
            </text>
          </g>
        ))}
        {rows.staves.map((stave, s) => {
          const y = top + s * (staveH + staveGap);
          return (
            <g key={stave.cookId}>
              <text x={2} y={y + 23} fontSize="15" fontWeight="700" fill="var(--ink)">
                {stave.name.slice(0, 13)}
              </text>
              {[0, 1, 2, 3].map((i) => (
                <path key={i} d={`M${gutter} ${y + 5 + i * 9}H${w - right}`} stroke="var(--rim-soft)" strokeWidth="0.7" opacity="0.7" />
              ))}
              {stave.rests.map((r) => (
                <g key={r.startMin}>
                  <title>{`${r.name}, ${at(r.startMin)} to ${at(r.endMin)}`}</title>
                  <rect
                    x={x(Math.max(rows.fromMin, r.startMin))}
                    y={y}
                    width={Math.max(0, x(Math.min(rows.toMin, r.endMin)) - x(Math.max(rows.fromMin, r.startMin)))}
                    height={staveH}
                    fill="var(--pale)"
                    stroke="var(--line)"
                    strokeDasharray="3 3"
                  />
                  <text x={x(Math.max(rows.fromMin, r.startMin)) + 5} y={y + 22} fontSize="12.5" fill="var(--quiet)">
                    {r.name.slice(0, Math.max(1, Math.floor((x(r.endMin) - x(r.startMin) - 6) / letterW)))}
                  </text>
                </g>
              ))}
              {stave.notes.map((note) => (
                <Block key={note.task.id} note={note} y={y} look={look} scale={scale} />
              ))}
            </g>
          );
        })}
        {rows.lines.map((line, i) => (
          <g key={line.name}>
            <text x={2} y={tops[i]! + 14} fontSize="14" fill="var(--ink)">
              {line.name.length > 15 ? `${line.name.slice(0, 14)}…` : line.name}
              {line.name.length > 15 && <title>{line.name}</title>}
            </text>
            {line.notes.map((note) => (
              <Tail
                key={note.task.id}
                note={note}
                next={Math.min(
                  rows.toMin,
                  ...line.notes.filter((o) => o.lane === note.lane && o.startMin > note.startMin).map((o) => o.startMin),
                )}
                y={tops[i]! + 12 + note.lane * laneH}
                look={look}
              />
            ))}
          </g>
        ))}
        {rows.fromMin < 0 && <Frost x={x} height={height} />}
      </svg>
    </DndContext>
  );
}

const minuteAt = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));
