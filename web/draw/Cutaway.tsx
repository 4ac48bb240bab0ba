import type { Place } from '#core/contract';
import { sayDay, sayVolume } from '#core/kitchen';
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
 * Tiles in rows of one height: a tile's area is its pack's outside times the scale, so that the eye reads room.
 * When a zone holds more than its own litres, all its tiles shrink alike.
 */
export function tilesIn(packs: readonly PackBrief[], x: number, y: number, w: number, h: number, areaPerMl: number): Tile[] {
  const gap = 3;
  const area = packs.reduce((s, p) => s + p.outerMl, 0) * areaPerMl;
  const shrink = area > w * h * 0.86 ? (w * h * 0.86) / area : 1;
  const unit = areaPerMl * shrink;
  for (const rowH of [50, 44, 38, 33, 28, 24, 20, 16]) {
    const tiles: Tile[] = [];
    let cx = x;
    let cy = y;
    for (const pack of packs) {
      const tw = Math.min(w, (pack.outerMl * unit) / rowH);
      if (cx > x && cx + tw > x + w + 0.5) {
        cx = x;
        cy += rowH + gap;
      }
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
    <svg viewBox={`-3 -3 ${W + 6} ${H + 6}`} width="100%" role="group" aria-label={`${place.name}: ${packs.length} packs, ${sayVolume(room.freeMl)} free`}>
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
            {i > 0 && (chest ? <path d={`M${zx} 6V${H - 6}`} stroke="var(--rim)" strokeWidth="2" strokeDasharray="5 4" /> : <path d={`M0 ${zy}H${W}`} stroke="var(--rim)" strokeWidth="2.5" />)}
            <text x={zx + 10} y={zy + 17} fontSize="14" fill="var(--quiet)">{zone.name}{mine.length === 0 ? ', empty' : ''}</text>
            {tiles.map((t) => {
              const soon = t.pack.due.daysLeft <= 14;
              const past = t.pack.due.daysLeft < 0;
              const on = selected === t.pack.packId;
              const label = `${t.pack.name}, ${amountOf(t.pack)}, best by ${sayDay(t.pack.bestBy)}${t.pack.planned ? ', planned' : ''}`;
              const name = fits(t.pack.name, t.w - 24, 13);
              return (
                <g key={t.pack.packId} role="button" tabIndex={0} aria-label={label} aria-pressed={on} style={{ cursor: 'pointer', opacity: dim(t.pack) ? 0.28 : 1 }} onClick={() => onSelect(t.pack)} onKeyDown={(e) => { if (e.key === 'Enter' || e.key === ' ') { e.preventDefault(); onSelect(t.pack); } }}>
                  <title>{label}</title>
                  <rect x={t.x} y={t.y} width={t.w} height={t.h} rx="4" fill={past ? 'var(--tomato-pale)' : soon ? 'var(--saffron-pale)' : 'var(--card)'} stroke={on ? 'var(--tomato)' : 'var(--rim-soft)'} strokeWidth={on ? 3 : 1.3} strokeDasharray={t.pack.brittle ? '4 2' : undefined} />
                  {t.w > 15 && <path d={kindPaths[t.pack.kind]} transform={`translate(${t.x + 4} ${t.y + 4}) scale(${Math.min(14, t.w - 6, t.h - 6) / 20})`} fill={`var(--kind-${t.pack.kind})`} />}
                  {t.w > 46 && <text x={t.x + 22} y={t.y + 15} fontSize="13" fontWeight="600" fill="var(--ink)">{name}</text>}
                  {t.w > 46 && t.h > 32 && <text x={t.x + 6} y={t.y + t.h - 7} fontSize="13" fill="var(--ink)">{fits(`${amountOf(t.pack)}, ${sayDay(t.pack.bestBy)}`, t.w - 8, 13) || fits(sayDay(t.pack.bestBy), t.w - 6, 13)}</text>}
                  {t.w > 26 && t.w <= 46 && t.h > 32 && <text x={t.x + 4} y={t.y + t.h - 7} fontSize="12" fill="var(--ink)">{fits(sayDay(t.pack.bestBy), t.w - 2, 11.5)}</text>}
                </g>
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}
