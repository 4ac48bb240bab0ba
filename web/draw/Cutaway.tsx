import type { Place } from '#core/contract';
import { sayDay, sayPortions, sayVolume } from '#core/kitchen';
import { kindPaths } from '#core/pack';
import type { PackBrief } from '#core/session';
import type { PlaceRoom } from '#core/store';
import { amountOf } from '../store/words.ts';

interface Tile {
  pack: PackBrief;
  x: number;
  y: number;
  w: number;
  h: number;
}

/**
 * Tiles in rows, the soonest due first: a tile's area is its pack's outside times the scale, so that the eye reads room.
 * Each row takes the height that suits the packs in it. When a zone holds more than its own litres, all its tiles shrink alike.
 */
export function tilesIn(packs: readonly PackBrief[], x: number, y: number, w: number, h: number, areaPerMl: number): Tile[] {
  const gap = 3;
  for (let shrink = 1; shrink > 0.1; shrink *= 0.92) {
    const unit = areaPerMl * shrink;
    const tiles: Tile[] = [];
    let cx = x;
    let cy = y;
    let rowH = 0;
    for (const pack of packs) {
      const area = pack.outerMl * unit;
      const own = Math.max(15, Math.min(56, Math.sqrt(area / 1.55)));
      // a pack much smaller or larger than the row, or past its end, begins a new one
      if (rowH > 0 && (cx + area / rowH > x + w + 0.5 || own < rowH * 0.6 || own > rowH * 1.7)) {
        cx = x;
        cy += rowH + gap;
        rowH = 0;
      }
      if (rowH === 0) rowH = own;
      const tw = Math.min(w, area / rowH);
      tiles.push({ pack, x: cx, y: cy, w: Math.max(2, tw - gap), h: rowH });
      cx += tw;
    }
    if (cy + rowH <= y + h + 0.5) return tiles;
  }
  return [];
}

interface Props {
  place: Place;
  room: PlaceRoom;
  packs: readonly PackBrief[];
  selected: string | undefined;
  dim: (p: PackBrief) => boolean;
  onSelect: (p: PackBrief) => void;
}

const fits = (text: string, width: number, px: number): string => {
  const most = Math.floor(width / (px * 0.5));
  return text.length <= most ? text : most > 3 ? `${text.slice(0, most - 1).trimEnd()}…` : '';
};

/** A freezer drawn to its litres: upright from the front with its shelves, a chest from above with its baskets; a tile's area follows its pack's volume. */
export function Cutaway({ place, room, packs, selected, dim, onSelect }: Props) {
  const chest = place.kind === 'chest';
  const W = chest ? 700 : 400;
  const total = place.zones.reduce((s, z) => s + z.litres, 0);
  const H = chest ? 390 : 380;
  const head = 22;
  const areaPerMl = (W * (H - (chest ? head : head * place.zones.length))) / (room.usableMl > 0 ? room.usableMl : place.litres * 1000);
  let at = 0;
  return (
    <svg
      viewBox={`-3 -3 ${W + 6} ${H + 6}`}
      width="100%"
      role="group"
      aria-label={`${place.name}: ${packs.length} packs, ${sayVolume(room.freeMl)} free`}
    >
      <rect x="0" y="0" width={W} height={H} rx="10" fill="var(--pale)" stroke="var(--rim)" strokeWidth="3.5" />
      {place.zones.map((zone, i) => {
        const share = zone.litres / total;
        const zx = chest ? at : 0;
        const zy = chest ? 0 : at;
        const zw = chest ? W * share : W;
        const zh = chest ? H : H * share;
        at += chest ? zw : zh;
        const mine = packs.filter((p) => p.zoneId === zone.id);
        const tiles = tilesIn(mine, zx + 8, zy + head + 2, zw - 14, zh - head - 8, areaPerMl);
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
              const soon = t.pack.due.daysLeft <= 14;
              const past = t.pack.due.daysLeft < 0;
              const on = selected === t.pack.packId;
              const label = `${t.pack.name}, ${amountOf(t.pack)}, best by ${sayDay(t.pack.bestBy)}${t.pack.planned ? ', planned' : ''}`;
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
                  {t.w > 34 && (
                    <text x={t.x + 22} y={t.y + 15} fontSize="14" fontWeight="700" fill="var(--ink)">
                      {t.w > 100 ? fits(t.pack.name, t.w - 24, 14) : sayPortions(t.pack.left)}
                    </text>
                  )}
                  {t.w > 34 && t.h > 31 && (
                    <text x={t.x + 5} y={t.y + t.h - 6} fontSize="13" fill="var(--ink)">
                      {t.w > 100 ? `${amountOf(t.pack)}, ${sayDay(t.pack.bestBy)}` : sayDay(t.pack.bestBy)}
                    </text>
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
