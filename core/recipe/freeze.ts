import type { Line } from '#core/contract';
import type { IngredientFinder, ReferenceRow } from '#core/kitchen';

/** How one line bears the freezer, and the way round. */
export interface FreezeFlag {
  lineId: string;
  name: string;
  fitness: 'well' | 'changes' | 'badly';
  /** Where it belongs: frozen with the dish, added on the day, or served beside it. */
  place: 'inside' | 'onTheDay' | 'beside';
  what: string;
  advice: string;
  source: string;
}

/** What does not go into the freezer at all: served beside, or added when the dish is eaten. */
const places: Readonly<Record<string, FreezeFlag['place']>> = {
  tx_rawveg: 'beside',
  tx_mayo: 'onTheDay',
  tx_cream: 'onTheDay',
  tx_icing: 'onTheDay',
  tx_custard: 'onTheDay',
  tx_gelatin: 'onTheDay',
};

const dairyBad = /^(yogurt|soured_cream|cream_single|cream_cheese|cottage_cheese|ricotta)$/;

/** Refs that a row points to in the tables of textures and seasonings. */
const refsOf = (refs: readonly string[] | undefined, prefix: string): string[] =>
  (refs ?? []).filter((r) => r.startsWith(prefix)).map((r) => r.slice(prefix.length));

/**
 * What freezes badly or changes in a dish, with the workaround (R8). What goes in on the day is left out, and so is what freezes well.
 * @param textures, seasonings the reference tables, as this household has them
 * @example freezeFlags([mayonnaise, lettuce, chicken], finder, rows) // mayonnaise onTheDay, lettuce beside
 */
export function freezeFlags(
  lines: readonly Line[],
  finder: IngredientFinder,
  tables: { textures: ReadonlyMap<string, ReferenceRow>; seasonings: ReadonlyMap<string, ReferenceRow> },
): FreezeFlag[] {
  return lines.flatMap((line): FreezeFlag[] => {
    const row = line.moment === 'batch' && line.item.type === 'ingredient' ? finder.byId(line.item.id) : undefined;
    if (!row) return [];
    const [texture] = refsOf(row.refRows, '12.3:').flatMap((id) => tables.textures.get(id) ?? []);
    const [seasoning] = refsOf(row.refRows, '12.2:').flatMap((id) => tables.seasonings.get(id) ?? []);
    const fitness = row.freeze ?? (texture || seasoning ? 'changes' : undefined);
    // pureed, a texture has nothing left to lose; tomatoes that are cooked are no salad
    const smooth = line.form === 'pureed' || line.form === 'grated';
    const cooked = row.id === 'tomato';
    if (fitness === undefined || fitness === 'well' || (smooth && fitness === 'changes') || (cooked && fitness === 'changes')) return [];
    const textureId = texture?.id ?? (dairyBad.test(row.id) ? 'tx_cream' : '');
    // in few words for a pot at home, where the row's own are for the trade
    const own = texture ?? tables.textures.get(textureId);
    const rowAdvice = own?.atHome ?? texture?.workaround ?? seasoning?.whatToDo;
    const said = typeof rowAdvice === 'string' ? rowAdvice : undefined;
    const [what = 'changes', ...ways] = (row.freezeNote ?? '').split('; ');
    return [
      {
        lineId: line.id,
        name: line.name,
        fitness,
        place: fitness === 'badly' ? (places[textureId] ?? 'inside') : 'inside',
        what: seasoning && !texture ? String(seasoning.change) : what.replace(/^cooked: /, ''),
        advice: (said ?? (ways.join('; ') || 'try one pack before a big batch')).replace(/\bpct\b/g, '%'),
        source: texture?.source ?? seasoning?.source ?? row.source,
      },
    ];
  });
}
