/** What a tile needs to know of a pack. */
export interface Stored {
  outerMl: number;
}

export interface Rect {
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface Tile<P extends Stored> extends Rect {
  pack: P;
}

/** The share of its cell that a tile shows; the rest is the gap. The same for all, so that areas stay in proportion. */
const shown = { w: 0.95, h: 0.93 } as const;
const rowHeight = { least: 15, most: 56, aspect: 1.55 } as const;

/** Rows of cells whose area is volume times scale; undefined when they do not fit the room. */
function rowsIn<P extends Stored>(packs: readonly P[], room: Rect, areaPerMl: number): Tile<P>[] | undefined {
  const tiles: Tile<P>[] = [];
  let x = room.x;
  let y = room.y;
  let rowH = 0;
  for (const pack of packs) {
    const area = pack.outerMl * areaPerMl;
    const own = Math.max(rowHeight.least, Math.min(rowHeight.most, Math.sqrt(area / rowHeight.aspect)), area / room.w);
    // a pack much smaller or larger than the row, or past its end, begins a new one
    if (rowH > 0 && (x + area / rowH > room.x + room.w + 1e-6 || own < rowH * 0.6 || own > rowH * 1.7)) {
      x = room.x;
      y += rowH;
      rowH = 0;
    }
    if (rowH === 0) rowH = own;
    const w = area / rowH;
    tiles.push({ pack, x, y, w: w * shown.w, h: rowH * shown.h });
    x += w;
  }
  return y + rowH <= room.y + room.h + 1e-6 ? tiles : undefined;
}

/**
 * Packs as tiles in their zones: every tile's area is its pack's volume times one scale for the whole freezer, so that the eye reads room.
 * When a zone holds more than it can show, the scale shrinks for all zones alike.
 * Law: area / volume is the same for any two tiles; no tile leaves its zone.
 */
export function layTiles<P extends Stored>(zones: readonly { packs: readonly P[]; room: Rect }[], areaPerMl: number): Tile<P>[][] {
  for (let scale = areaPerMl; scale > areaPerMl / 1000; scale *= 0.94) {
    const laid = zones.map((z) => rowsIn(z.packs, z.room, scale));
    if (laid.every((tiles) => tiles !== undefined)) return laid;
  }
  return zones.map(() => []);
}
