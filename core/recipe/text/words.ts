import type { Unit } from '#core/contract';
import { unitFacts, type Rational } from '#core/kitchen';

/** What a word for a measure means: so many of a unit. */
export interface UnitWord {
  unit: Unit;
  times: Rational;
  /** Only before “de”, “di” and the like: the word means something else in English. */
  joined: boolean;
}

type Rows = readonly (readonly [unit: Unit, words: string, times?: Rational])[];

/** Beside the names of our own units. A dessertspoon is two teaspoons (10 ml), a German pound half a kilo, an etto a hundred grams. */
const english: Rows = [
  ['tbsp', 'tbls|tablespoonful|tablespoonfuls'],
  ['tsp', 'teaspoonful|teaspoonfuls'],
  ['tsp', 'dessertspoon|dessertspoons|dessert spoon|dessert spoons|dsp|dstsp|dspn', '2'],
  ['cup', 'c|cupful|cupfuls'],
  ['usFlOz', 'floz|fluid oz'],
  ['pinch', 'smidgen|grating|gratings|sprinkle|sprinkling|dusting'],
  ['turn', 'grind|grinds|twist|twists'],
  ['handful', 'fistful|hand-full'],
  ['piece', 'pc|pcs|nos'],
  ['pack', 'box|boxes|punnet|punnets'],
];

/** By language, the words before a food. */
const german: Rows = [
  ['tbsp', 'EL|Esslöffel|Essl|Eßlöffel'],
  ['tsp', 'TL|Teelöffel|Teel|KL|Kaffeelöffel'],
  ['pinch', 'Prise|Prisen|Msp|Messerspitze|Messerspitzen'],
  ['bunch', 'Bund|Bunde|Bd|Sträußchen'],
  ['clove', 'Zehe|Zehen'],
  ['tin', 'Dose|Dosen|Do|Büchse'],
  ['jar', 'Glas|Gläser'],
  ['pack', 'Pck|Pkg|Packung|Packungen|Päckchen|Pkt|Pckg'],
  ['sachet', 'Tüte|Tüten|Beutel'],
  ['tub', 'Becher'],
  ['stalk', 'Stange|Stangen|Stängel|Stiel|Stiele'],
  ['slice', 'Scheibe|Scheiben'],
  ['sprig', 'Zweig|Zweige|Zweiglein'],
  ['leaf', 'Blatt|Blätter'],
  ['piece', 'Stück|Stücke|Stk'],
  ['cup', 'Tasse|Tassen'],
  ['g', 'Gramm'],
  ['g', 'Pfund|Pfd', '500'],
  ['l', 'Liter'],
  ['ml', 'Milliliter'],
  ['handful', 'Handvoll'],
  ['head', 'Kopf|Köpfe'],
  ['bulb', 'Knolle|Knollen'],
  ['cube', 'Würfel'],
  ['splash', 'Schuss|Spritzer'],
];
const french: Rows = [
  [
    'tbsp',
    'cuillère à soupe|cuillères à soupe|cuillere à soupe|cuilleres à soupe|cuillère a soupe|cuillères a soupe|cuillerée à soupe|cuillerées à soupe|cuil à soupe|c à soupe|c à s|cas|càs|cs|cuill à soupe',
  ],
  [
    'tsp',
    'cuillère à café|cuillères à café|cuillere à café|cuilleres à café|cuillère a café|cuillères a café|cuillerée à café|cuillerées à café|cuil à café|c à café|c à c|cac|càc|cuillère à thé|cuillères à thé|cuill à café',
  ],
  ['pinch', 'pincée|pincées'],
  ['clove', 'gousse|gousses'],
  ['bunch', 'botte|bottes|bouquet|bouquets'],
  ['sprig', 'brin|brins'],
  ['stalk', 'branche|branches|tige|tiges'],
  ['leaf', 'feuille|feuilles'],
  ['slice', 'tranche|tranches|rondelle|rondelles'],
  ['tin', 'boîte|boîtes|boite|boites'],
  ['jar', 'pot|pots|bocal|bocaux'],
  ['knob', 'noix|noisette'],
  ['handful', 'poignée|poignées'],
  ['drizzle', 'filet'],
  ['cup', 'tasse|tasses'],
  ['g', 'gramme|grammes'],
  ['l', 'litre|litres'],
  ['head', 'tête|têtes'],
  ['stick', 'bâton|bâtons'],
  ['piece', 'morceau|morceaux'],
  ['pack', 'paquet|paquets'],
  ['ladle', 'louche|louches'],
  ['tub', 'brique|briques'],
];
const italian: Rows = [
  ['tbsp', 'cucchiaio|cucchiai|cucchiaio da minestra'],
  ['tsp', 'cucchiaino|cucchiaini'],
  ['pinch', 'pizzico|pizzichi|presa|prese'],
  ['clove', 'spicchio|spicchi'],
  ['bunch', 'mazzo|mazzi|mazzetto|mazzetti|ciuffo|ciuffi'],
  ['sprig', 'rametto|rametti|rametto'],
  ['leaf', 'foglia|foglie'],
  ['slice', 'fetta|fette'],
  ['tin', 'scatola|scatole|lattina|lattine|barattolo|barattoli|scatoletta'],
  ['jar', 'vasetto|vasetti'],
  ['sachet', 'bustina|bustine'],
  ['cup', 'tazza|tazze'],
  ['stalk', 'gambo|gambi|costa|coste'],
  ['knob', 'noce'],
  ['handful', 'manciata|manciate'],
  ['drizzle', 'filo'],
  ['g', 'grammi|grammo|gr'],
  ['g', 'etto|etti|hg', '100'],
  ['l', 'litro|litri'],
  ['kg', 'chilo|chili'],
  ['cube', 'cubetto|cubetti|dado'],
  ['pack', 'confezione|confezioni'],
];
const spanish: Rows = [
  ['tbsp', 'cucharada|cucharadas|cucharadas soperas|cucharada sopera|cda|cdas'],
  ['tsp', 'cucharadita|cucharaditas|cdta|cdtas|cdita|cditas|cucharadas de postre'],
  ['pinch', 'pizca|pizcas'],
  ['clove', 'diente|dientes'],
  ['bunch', 'manojo|manojos|atado|atados|ramo'],
  ['sprig', 'ramita|ramitas|rama|ramas'],
  ['leaf', 'hoja|hojas'],
  ['slice', 'rebanada|rebanadas|loncha|lonchas|rodaja|rodajas'],
  ['tin', 'lata|latas|bote|botes'],
  ['pack', 'paquete|paquetes'],
  ['sachet', 'sobre|sobres'],
  ['cup', 'taza|tazas'],
  ['stalk', 'tallo|tallos'],
  ['splash', 'chorrito|chorro'],
  ['handful', 'puñado|puñados'],
  ['g', 'gramos|gramo'],
  ['l', 'litro|litros'],
  ['head', 'cabeza|cabezas'],
  ['piece', 'trozo|trozos|unidad|unidades'],
];

/** Words that stand for another thing in English, or are too short to trust, unless “de”, “di” or the like follows. */
const onlyJoined = new Set(
  'pot pots filet filo noce costa coste presa prese noix do cas cs rama ramo sobre bote botes media tige hoja chili dado'.split(' '),
);

const fold = (word: string): string => word.toLowerCase().replace(/\./g, '').replace(/\s+/g, ' ').trim();

const table = new Map<string, UnitWord>();
const add = (unit: Unit, word: string, times: Rational): void => {
  const key = fold(word);
  if (!table.has(key)) table.set(key, { unit, times, joined: onlyJoined.has(key) });
};
for (const [unit, fact] of Object.entries(unitFacts)) for (const name of fact.names) add(unit as Unit, name, '1');
for (const rows of [english, german, french, italian, spanish])
  for (const [unit, list, times = '1'] of rows) for (const word of list.split('|')) add(unit, word, times);

const escaped = (word: string): string => word.replace(/[*+?^${}()|[\]\\]/g, '\\$&');
/** A word of the table as it may be written: `c. à s.`, `fl. oz.`, `tbsp.` */
const spaced = (word: string): string =>
  word
    .split(' ')
    .map((part) => `${escaped(part)}\\.?`)
    .join('\\s*');
const alternatives = [...table.keys()]
  .toSorted((a, b) => b.length - a.length)
  .map(spaced)
  .join('|');
/** `c.à.s`, written without spaces, is found by the same alternatives since a space there is optional. */
const unitPattern = new RegExp(`^(?:${alternatives})(?![\\p{L}\\d'’])`, 'iu');

/** “of”, “de”, “di” and the like, between a measure and its food. */
export const ofWord =
  /^\s*(?:of(?:\s+(?:the|an?|your))?\s+|de\s+la\s+|de\s+l['’]\s*|d['’]\s*|des?\s+|du\s+|del(?:la|le|lo)?\s+|dell['’]\s*|dei\s+|degli\s+|di\s+|von\s+|vom\s+)/iu;

/**
 * The unit a text begins with, and what follows it. Only a lone `T` or `t` depends on case.
 * @example readUnit('T. soy milk') // { unit: 'tbsp', times: '1', rest: ' soy milk' }
 */
export function readUnit(text: string): { unit: Unit; times: Rational; rest: string } | undefined {
  const lone = /^([Tt])\.?(?=\s)/.exec(text);
  if (lone) return { unit: lone[1] === 'T' ? 'tbsp' : 'tsp', times: '1', rest: text.slice(lone[0].length) };
  const m = unitPattern.exec(text);
  if (!m) return undefined;
  const rest = text.slice(m[0].length);
  const key = fold(m[0]);
  const found = table.get(key) ?? table.get(key.replace(/\s/g, '')) ?? squeezed.get(key.replace(/\s/g, ''));
  if (!found || (found.joined && !ofWord.test(rest))) return undefined;
  // “cc” is millilitres, but a French coffee spoon before “de”
  if (key === 'cc' && /^\s*(?:de|d['’])/iu.test(rest)) return { unit: 'tsp', times: '1', rest };
  return { unit: found.unit, times: found.times, rest };
}
const squeezed = new Map([...table].map(([word, meant]) => [word.replace(/\s/g, ''), meant]));

/** Words before a spoon, a cup or a slice, and before a whole thing: how full or how large, which is a note and no amount. */
export const sizeWords =
  /^\s*,?\s*(?:(?:level|heaped|heaping|rounded|generous|scant|good|packed|lightly packed|small|large|medium(?:-sized)?|med|big|little|tiny|thick|thin|fat|extra[- ]large|decent|gestrichen(?:e[rn]?)?|gestr|gehäuft(?:e[rn]?)?|geh|kleine[rns]?|große[rns]?|petite?s?|grande?s?|grosse?s?|bonne|belles?|beaux?|buona?|piccol[aoie]|pequeñ[ao]s?|colmad[ao]s?|rase?s?)\.?(?=[\s,])\s*,?\s*)+/iu;

/** What a line may begin with before its amount. */
export const leading =
  /^(?:about|approx(?:imately|\.)?|around|roughly|nearly|almost|just (?:under|over)|circa|ca\.?|c\.\s?(?=\d)|another|an extra|extra|plus|at least|a total of|~|≈|etwa|ungefähr|environ|circa|unos|unas|approximativement)\s*(?=[\d¼-¾⅐-⅞]|an?\s|one|two|three|four|five|six|seven|eight|nine|ten|half)/iu;

/** No figure: few, some, a little, and what other languages say for it. */
export const noFigure =
  /^(?:a few|some|a little(?: bit of)?|a bit of|several|a good amount of|plenty of|lots of|a lot of|enough|as much|etwas|ein wenig|ein paar|einige|quelques|un peu de|un po['’] di|qualche|alcun[ie]|q\.?\s?b\.?(?: di)?|quanto basta(?: di)?|un poco de|algun[ao]s)\s+/iu;
