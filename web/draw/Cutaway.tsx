import type { Place } from '#core/contract';
import { countOf, sayDay, sayPortions } from '#core/kitchen';
import { kindPaths } from '#core/pack';
import type { PackBrief } from '#core/queries';
import type { PlaceRoom } from '#core/store';
import { amountOf, datedAs } from '../ui/packWords.ts';
import { layTiles } from './tiles.ts';
import { useMeasures } from '../sync/measures.ts';

interface Props {
  place: Place;
  room: PlaceRoom;
  packs: readonly PackBrief[];
  selected: string | undefined;
  dim: (p: PackBrief) => boolean;
  onSelect: (p: PackBrief) => void;
}

/** About how wide a text of this many signs is, in a tile's type. */
const signPx = 7;

/** What fits on a tile: name or number beside the mark, then what is inside and the date, or the date alone, or nothing. */
function showText(pack: PackBrief, width: number): { text: string; strong: boolean }[] {
  const room = (text: string, from: number): boolean => from + text.length * signPx <= width;
  const first = [pack.name, sayPortions(pack.left)].find((t) => room(t, 20));
  const date = pack.bestBy === undefined ? 'no date' : sayDay(pack.bestBy);
  const second = [`${amountOf(pack)}, ${date}`, date].find((t) => room(t, 4));
  return [...(first ? [{ text: first, strong: true }] : []), ...(first && second ? [{ text: second, strong: false }] : [])];
}

/** A freezer drawn to its litres: upright from the front with its shelves, a chest from above with its baskets; a tile's area follows its pack's volume. */
export function Cutaway({ place, room, packs, selected, dim, onSelect }: Props) {
  const { sayVolume } = useMeasures();
  const chest = place.kind === 'chest';
  const W = chest ? 700 : 400;
  const total = place.zones.reduce((s, z) => s + z.litres, 0);
  const H = chest ? 390 : 380;
  const head = 22;
  const areaPerMl = (W * (H - (chest ? head : head * place.zones.length))) / (room.usableMl > 0 ? room.usableMl : place.litres * 1000);
  const starts = place.zones.map((_, i) => place.zones.slice(0, i).reduce((sum, z) => sum + z.litres, 0) / total);
  const zones = place.zones.map((zone, i) => {
    const share = zone.litres / total;
    const start = starts[i] ?? 0;
    const box = chest ? { x: W * start, y: 0, w: W * share, h: H } : { x: 0, y: H * start, w: W, h: H * share };
    // a pack whose basket is gone stands in the first one
    const mine = packs.filter((p) => p.zoneId === zone.id || (i === 0 && !place.zones.some((z) => z.id === p.zoneId)));
    return { zone, box, packs: mine, room: { x: box.x + 8, y: box.y + head + 2, w: box.w - 14, h: box.h - head - 8 } };
  });
  const laid = layTiles(zones, areaPerMl);
  return (
    <svg
      viewBox={`-3 -3 ${W + 6} ${H + 6}`}
      width="100%"
      role="group"
      aria-label={`${place.name}: ${countOf(packs.length, 'pack')}, ${sayVolume(room.freeMl)} free`}
    >
      <rect x="0" y="0" width={W} height={H} rx="10" fill="var(--pale)" stroke="var(--rim)" strokeWidth="3.5" />
      {zones.map(({ zone, box: { x: zx, y: zy }, packs: mine }, i) => {
        const tiles = laid[i] ?? [];
        return (
          <g key={zone.id}>
            {i > 0 &&
              (chest ? (
                <path d={`M${zx} 6V${H - 6}`} stroke="var(--rim)" strokeWidth="2" strokeDasharray="5 4" />
              ) : (
                <path d={`M0 ${zy}H${W}`} stroke="var(--rim)" strokeWidth="2.5" />
              ))}
            <text x={zx + 10} y={zy + 17} fontSize="14" fill="var(--quiet)">
              {zone.name}
              {mine.length === 0 ? ', empty' : ''}
            </text>
            {tiles.map((t) => {
              const daysLeft = t.pack.due.daysLeft ?? 0;
              const soon = daysLeft <= 14;
              const past = daysLeft < 0;
              const on = selected === t.pack.packId;
              const label = `${t.pack.name}, ${amountOf(t.pack)}, ${datedAs(t.pack)}${t.pack.planned ? ', planned' : ''}`;
              return (
                <g
                  key={t.pack.packId}
                  role="button"
                  tabIndex={0}
                  aria-label={label}
                  aria-pressed={on}
                  style={{ cursor: 'pointer', opacity: dim(t.pack) ? 0.28 : 1 }}
                  onClick={() => onSelect(t.pack)}
                  onKeyDown={(e) => {
                    if (e.key === 'Enter' || e.key === ' ') {
                      e.preventDefault();
                      onSelect(t.pack);
                    }
                  }}
                >
                  <title>{label}</title>
                  <rect
                    x={t.x}
                    y={t.y}
                    width={t.w}
                    height={t.h}
                    rx="4"
                    fill={past ? 'var(--tomato-pale)' : soon ? 'var(--saffron-pale)' : 'var(--card)'}
                    stroke={on ? 'var(--tomato)' : 'var(--rim-soft)'}
                    strokeWidth={on ? 3 : 1.3}
                    strokeDasharray={t.pack.brittle ? '4 2' : undefined}
                  />
                  {t.w > 12 && t.h > 12 && (
                    <path
                      d={kindPaths[t.pack.kind]}
                      transform={`translate(${t.x + 4} ${t.y + 3.5}) scale(${Math.min(14, t.w - 6, t.h - 6) / 20})`}
                      fill={`var(--kind-${t.pack.kind})`}
                    />
                  )}
                  {showText(t.pack, t.w).map(({ text, strong }, line) =>
                    line === 1 && t.h <= 31 ? null : (
                      <text
                        key={text}
                        x={t.x + (line === 0 ? 20 : 5)}
                        y={line === 0 ? t.y + 15 : t.y + t.h - 6}
                        fontSize={strong ? 14 : 13}
                        fontWeight={strong ? 700 : 400}
                        fill="var(--ink)"
                      >
                        {text}
                      </text>
                    ),
                  )}
                </g>
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}
