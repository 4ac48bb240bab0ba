import { readLine } from '../text/line.ts';
import { readMeasure } from '../text/measure.ts';

/** Where a line of a text belongs. */
export type Part = 'lines' | 'steps' | 'notes' | 'aside';

/** Headings of the parts of a recipe, in the languages they come in. */
const partWords: readonly [Part, RegExp][] = [
  [
    'lines',
    /^(?:the\s+)?(?:ingredients?(?: list)?|what you(?:['’]ll| will)? need|you(?:['’]ll| will) need|shopping list|zutaten|zutatenliste|ingr[ée]dients|ingredienti|ingredientes)(?:\s+(?:for|für|pour|per|para)\b.*|\s*\(.*\))?$/iu,
  ],
  [
    'steps',
    /^(?:the\s+)?(?:method|directions?|instructions?|preparation|how to make(?: it| this)?.*|steps?|what to do|to make(?: it)?|procedure|cooking instructions|zubereitung|anleitung|so geht['’]?s|pr[ée]paration|[ée]tapes|r[ée]alisation|preparazione|procedimento|preparaci[óo]n|elaboraci[óo]n|modo de preparaci[óo]n)$/iu,
  ],
  [
    'notes',
    /^(?:(?:recipe|cook['’]?s?|chef['’]?s?)\s+)?(?:notes?|tips?|storage|to store|to freeze|freezing|make ahead|variations?|serving suggestions?|tipps?|hinweise?|remarques?|astuces?|note|consigli|notas?|consejos?)$/iu,
  ],
  [
    'aside',
    /^(?:nutrition(?:al)?(?: information| facts)?.*|n[äa]hrwerte.*|equipment|utensils?|comments?|reviews?|related.*|you may also like.*|share|print|video|about.*|more recipes.*|leave a (?:comment|reply).*|advertisement|tags?|categories)$/iu,
  ],
];

export const yieldLine =
  /^(?:recipe\s+)?(?:serves|makes|yields?|servings?|portions?|feeds|für\s+\d|portionen|pour\s+\d+\s+personnes|per\s+\d+\s+persone|para\s+\d+\s+personas|dosi per|enough for|ergibt)\b\s*:?\s*\S|^\d{1,3}(?:\s*[-–]\s*\d{1,3})?\s+(?:servings?|portions?|portionen|personen|personnes|persone|people|porciones|raciones)\.?$/iu;
export const timeLine =
  /^(?:(?:prep(?:aration)?|cook(?:ing)?|total|active|hands[- ]on|baking|resting|chill(?:ing)?|ready in|vorbereitung(?:szeit)?|kochzeit|arbeitszeit|gesamtzeit|temps de (?:pr[ée]paration|cuisson)|tempo di (?:preparazione|cottura)|tiempo de \p{L}+)(?:\s*(?:time|zeit))?)\s*:?\s*(?=\d|PT|an?\s)/iu;
const otherMeta =
  /^(?:author|by|source|from|quelle|difficulty|course|cuisine|category|keywords?|tags?|calories|rating|cost|skill level|adapted from|published|updated|print|pin|jump to recipe|rate this|save|share)\b\s*:?/iu;

const verbs = new Set(
  (
    'heat preheat chop cut slice dice add stir mix cook simmer boil bake roast fry sauté saute put place pour remove serve season combine whisk blend drain rinse bring cover let leave melt warm ' +
    'turn transfer return reduce knead roll shape sprinkle spread arrange peel wash soak grate toss taste strain press fold beat cool freeze chill line grease divide discard sweat brown soften repeat keep ' +
    'make prepare finely roughly meanwhile then finally next after while when once in using with to set allow take tip crush mash scoop spoon rub mix lower raise increase garnish drizzle scatter dust brush wrap store ' +
    'start begin gently carefully first now before lay top layer dissolve scald blanch steam poach toast grind process pulse blitz purée puree squeeze scrape deglaze skim ladle pack fill label check if'
  ).split(' '),
);

export const imperative = (line: string): boolean =>
  verbs.has((/^\p{L}+/u.exec(line.replace(/^[\s•*·–-]*(?:step\s*)?(?:\d{1,2}[.):]\s*)?/iu, ''))?.[0] ?? '').toLowerCase());
export const numbered = (line: string): boolean =>
  /^(?:step\s*)?\d{1,2}[.):]\s+\p{L}/iu.test(line) && !/^\d{1,2}[.)]\s+[\d¼-¾]/u.test(line);
export const longest = { line: 160, lineWords: 22, title: 90 };

/** Whether a line is an ingredient by its own looks: it begins or ends with a measure and is no sentence. */
export function measured(line: string): boolean {
  if (line.length > longest.line || line.split(/\s+/).length > longest.lineWords || numbered(line)) return false;
  const text = line.replace(/^[\s•‣▢☐□▪*·–-]+/u, '').replace(/^\d{1,2}[.)]\s+(?=[\d¼-¾])/u, '');
  if (imperative(text) && /[.!]$/.test(text)) return false;
  if (/[.!?]\s+\p{Lu}/u.test(text.replace(/\b(?:tbsp|tsp|oz|lb|lbs|approx|ca|c|T|t|EL|TL|fl|qt|pt|pkg|Pck|no)\./giu, ''))) return false;
  if (timeLine.test(text) || yieldLine.test(text)) return false;
  if (/^\d{4}$|^\d+(?:\.\d+)?\s*(?:stars?|votes?|ratings?|reviews?|comments?|min(?:ute)?s?|hours?|hrs?|kcal|calories|%)\b/iu.test(text))
    return false;
  const front = readMeasure(text);
  if (front?.amount !== undefined) return /\p{L}{2}/u.test(front.rest) || /\p{L}{2}/u.test(text);
  return /^\p{L}[\p{L}\s'’,-]{1,60}?[\s:–-]+(?:\d|[¼-¾])/u.test(text) && readLine(text).amount !== undefined && !/[.!?]$/.test(text);
}

/** Words that close a measure on a line of its own: the next line has the food (columns copied from a page). */
function bareMeasure(line: string): boolean {
  if (line.length > 24 || !/\d|[¼-¾⅐-⅞]/u.test(line)) return false;
  const m = readMeasure(line.trim());
  return m?.amount !== undefined && m.rest.trim() === '';
}

/** Lines as they are meant: columns put together, a measure and the food below it on one line. */
export function tidyLines(text: string): string[] {
  const raw = text
    .replace(/\r\n?/g, '\n')
    .replace(/[\u200B-\u200D\uFEFF]/g, '')
    .split('\n')
    .map((l) =>
      l
        .replace(/\t+/g, ' ')
        .replace(/\s*\|\s*(?=\S)/g, (m, at: number) => (at === 0 ? '' : m))
        .replace(/[ \u00A0\u2009\u202F]+/g, ' ')
        .trim(),
    );
  const lines: string[] = [];
  for (let i = 0; i < raw.length; i += 1) {
    const line = raw[i]!;
    const next = raw[i + 1] ?? '';
    // "500" / "g" / "flour", or "500 g" / "flour"
    const after = raw[i + 2] ?? '';
    if (bareMeasure(line) && /^\p{L}/u.test(next) && next.length < 80 && !partOf(next)) {
      if (bareMeasure(`${line} ${next}`) && /^\p{L}/u.test(after) && after.length < 80 && !partOf(after)) {
        lines.push(`${line} ${next} ${after}`);
        i += 2;
      } else {
        lines.push(`${line} ${next}`);
        i += 1;
      }
    } else lines.push(line);
  }
  return lines;
}

export const unmarked = (line: string): string =>
  line
    .replace(/^#{1,6}\s*/, '')
    .replace(/^(?:\*\*|__)(.*?)(?:\*\*|__):?$/, '$1')
    .replace(/\s*[:：]$/u, '')
    .trim();
export const partOf = (line: string): Part | undefined => {
  const bare = unmarked(line);
  return bare.length > 60 ? undefined : partWords.find(([, words]) => words.test(bare))?.[0];
};

/** What pages put between the lines: tools to scale and to tick, no foods. */
export const clutter =
  /^(?:us customary.*|metric|(?:\d(?:\/\d)?x\s*)+|scale.*|(?:un)?check all|add to .*|shop .*|deselect all|cook mode.*|units?:?.*|sponsored.*|jump to.*|print.*|pin( it)?|save|share.*)$/iu;

/** The road to a page, as pages show it. */
const crumbs = /\s[>»›/]\s/u;

/** A short line that stands above something: a part of the dish, or the name of all of it. */
export const looksLikeTitle = (line: string): boolean =>
  line.length <= longest.title &&
  /\p{L}{2}/u.test(line) &&
  !/[.!?;]$/.test(line) &&
  !measured(line) &&
  !numbered(line) &&
  !yieldLine.test(line) &&
  !timeLine.test(line) &&
  !otherMeta.test(line) &&
  !crumbs.test(line) &&
  !clutter.test(line);
