import { stemOf } from './language.ts';
import type { Piece } from './pieces.ts';

/** Words for what steps make, and how a step shows that it made it. */
const products: readonly (readonly [words: string, made: RegExp])[] = [
  ['dough pastry teig pâte masa impasto', /\b(?:dough|knead|flour|pastry|pâte|masa|impast)|teig|kneten/iu],
  ['batter', /\b(?:batter|whisk|flour)/iu],
  [
    'filling füllung farce relleno ripieno stuffing',
    /\b(?:filling|füllung|farce|relleno|ripieno|stuffing)|\b(?:mix|stir|beat|combine)\b(?![^.]*\b(?:dough|knead)\b)/iu,
  ],
  ['sauce soße salsa sugo roux gravy', /\b(?:sauce|soße|roux|gravy)\b|\b(?:tomato|passata|milk|thicken|melt)/iu],
  ['marinade rub marinata', /\b(?:marinade|rub|paste)\b|\b(?:mix|whisk|stir|grate|combine|blend)\b/iu],
  ['crumble topping streusel crust', /\b(?:crumble|topping|rub|streusel)\b/iu],
  ['base', /\b(?:base|fry|sweat|soften|blend)\b/iu],
  ['broth stock brühe fond bouillon caldo brodo', /\b(?:broth|stock|bones?|carcass|strain)\b|\bsimmer/iu],
  ['mash purée puree pulp', /\b(?:mash|purée|puree|blend|mill|pulp)\b/iu],
  ['flesh', /\b(?:flesh|scoop|roast|halve)\b/iu],
  ['mixture mix mass mischung masse mélange mezcla', /\b(?:mix|stir|whisk|combine|beat|grate|fold)\b|\b(?:mischen|rühren|mélang|mezcl)/iu],
  ['pesto dressing dip paste curry jam compote syrup custard', /\b(?:blend|blitz|whisk|pound|cook|simmer|stir)/iu],
  ['ball meatball patty patties dumpling parcel roll loaf pancake wrap', /\b(?:shape|roll|balls?|form|pat|fold|fill|fry|patties)\b/iu],
  // only where the very word was said before
  ['crumb seed zest skin shell marrow', /(?!)/u],
  ['vorteig starter sponge poolish', /\b(?:vorteig|sponge|hefe|yeast|starter)\b/iu],
];

const byStem = new Map<string, RegExp>(products.flatMap(([words, made]) => words.split(' ').map((w) => [stemOf(w), made] as const)));

/** Whether a word means something that a step makes. @example isProduct('dough') // true */
export const isProduct = (stem: string): boolean => byStem.has(stem);

/**
 * The piece that made a thing, the nearest before that says so: by its section's title, by the word itself, by how such a thing is made.
 * @param n the piece that speaks of it
 */
export function producerOf(pieces: readonly Piece[], bound: readonly unknown[], stem: string, n: number): number | undefined {
  const earlier = [...pieces.keys()].filter((i) => i < n && bound[i] !== undefined && pieces[i]!.kind !== 'preheat').reverse();
  const word = new RegExp(`\\b${stem.slice(0, Math.max(4, stem.length - 1))}`, 'iu');
  const plainSection = (i: number): string => (pieces[i]!.section ?? '').normalize('NFD').replace(/[\u0300-\u036f]/g, '');
  const sectioned = earlier.find((i) => pieces[i]!.section !== pieces[n]!.section && word.test(plainSection(i)));
  if (sectioned !== undefined) return sectioned;
  const said = earlier.find((i) => word.test(pieces[i]!.text));
  const made = byStem.get(stem);
  const shown = made && earlier.find((i) => made.test(pieces[i]!.text));
  return said ?? shown;
}
