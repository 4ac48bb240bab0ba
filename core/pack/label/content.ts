import type { Kind } from '#core/contract';
import { boldWidths, regularWidths } from '../data/widths.rows.ts';
import type { Run } from '../text.ts';

/** What a label says, in parts: what may be left out is known by its part, never by its words. */
export interface LabelContent {
  packId: string;
  code: string;
  kind: Kind;
  name: string;
  /** `2 portions`. */
  portions: string;
  /** `800 ml`. */
  weight: string;
  /** `3 of 10`. */
  nOf: string;
  /** `28 Nov 2026`; absent when nobody knows. */
  made?: string;
  /** `28 Feb 2027`; absent when nobody knows when it was made. */
  bestBy?: string;
  /** Printed where a best-by date would stand: `found 12 Dec 2026, date not known`. */
  undated?: string;
  /** Never left out. */
  allergens: readonly string[];
  /** Never left out: `Not for Osk (2 g salt)`. */
  cautions: readonly string[];
  /** Added on the day; the names stay longest. */
  add: readonly { name: string; amount?: string }[];
  /** How much of a concentrate stands in for what. */
  dose: readonly string[];
  thaw?: string;
  /** Ways of heating, the best first; each as its sentences, the longest first. */
  heat: readonly (readonly string[])[];
  /** Minutes of the table, not the recipe's own words. */
  usual: boolean;
}

/** What a label gave up, for the session sheet. */
export interface MovedPart {
  head: string;
  text: string;
}

/** How far a label has given way. */
export interface Level {
  ways: number;
  made: boolean;
  weight: boolean;
  addAmounts: boolean;
  dose: boolean;
  /** Which of the first way's sentences. */
  sentence: number;
}

/**
 * What a label gives up, in this order: the second way, the made date beside a best by, the portions' weight, add-on amounts, then words within the first
 * way's own sentence, last the dose. Never: name, best by, code, allergens, cautions, thaw, one way of heating (decision 47).
 * @example levelsOf(content) // from everything to the least a label must say
 */
export function levelsOf(content: LabelContent): Level[] {
  const levels: Level[] = [{ ways: content.heat.length, made: true, weight: true, addAmounts: true, dose: true, sentence: 0 }];
  const give = (part: Partial<Level>): void => void levels.push({ ...(levels[levels.length - 1] as Level), ...part });
  for (let ways = content.heat.length - 1; ways >= 1; ways -= 1) give({ ways });
  if (content.made !== undefined && content.bestBy !== undefined) give({ made: false });
  give({ weight: false });
  if (content.add.some((a) => a.amount !== undefined)) give({ addAmounts: false });
  for (let i = 1; i < (content.heat[0]?.length ?? 0); i += 1) give({ sentence: i });
  if (content.dose.length > 0) give({ dose: false });
  return levels;
}

/**
 * Parts that a level leaves out, as the session sheet says them.
 * @example movedAt(content, 'least') // what stands on the session sheet instead
 */
export function movedAt(content: LabelContent, level: Level): MovedPart[] {
  return [
    ...content.heat.slice(level.ways).flatMap((w) => (w[0] === undefined ? [] : [{ head: 'Or', text: w[0] }])),
    ...(level.made || content.made === undefined ? [] : [{ head: 'Made', text: content.made }]),
    ...(level.weight ? [] : [{ head: 'Weight', text: content.weight }]),
    ...(level.addAmounts
      ? []
      : content.add.flatMap((a) => (a.amount === undefined ? [] : [{ head: 'Add', text: `${a.amount} ${a.name}` }]))),
    ...(level.sentence > 0 ? [{ head: 'Heat', text: content.heat[0]?.[0] ?? '' }] : []),
    ...(level.dose ? [] : content.dose.map((text) => ({ head: 'Use', text }))),
  ];
}

const headed = (head: string, text: string): Run[] => [
  { text: `${head}:`, weight: 'bold' },
  { text, weight: 'regular' },
];

/** `Contains: milk` with its head in bold; a line without one says what it is about. */
function allergenRuns(text: string): Run[] {
  const colon = text.indexOf(':');
  const said = /[.!?)]$/.test(text) ? text : `${text}.`;
  return colon < 0 ? headed('Allergens', said) : headed(said.slice(0, colon), said.slice(colon + 1).trim());
}

/** The body of a label at a level, paragraph by paragraph; lines about one thing run on in one paragraph, since a label has few. */
export function paragraphsAt(content: LabelContent, level: Level, note: string | undefined): Run[][] {
  const first = [content.portions, ...(level.weight ? [content.weight] : []), content.nOf].join(', ');
  const made = level.made && content.made !== undefined ? ` Made ${content.made}.` : '';
  const add = content.add.map((a) => (level.addAmounts && a.amount !== undefined ? `${a.amount} ${a.name}` : a.name));
  const cautions = content.cautions.map((text) => (/[.!?]$/.test(text) ? text : `${text}.`)).join(' ');
  return [
    [{ text: `${first}.${made}${note === undefined ? '' : ` ${note}`}`, weight: 'regular' }],
    ...(content.allergens.length > 0 ? [content.allergens.flatMap(allergenRuns)] : []),
    ...(cautions ? [[{ text: cautions, weight: 'bold' } as Run]] : []),
    ...(add.length > 0 ? [headed('Add', `${add.join(', ')}.`)] : []),
    ...(level.dose ? content.dose.map((text) => headed('Use', text)) : []),
    ...content.heat
      .slice(0, level.ways)
      .map((way, i) =>
        headed(i === 0 ? (content.usual ? 'Heat (usual)' : 'Heat') : 'Or', way[i === 0 ? level.sentence : 0] ?? way[0] ?? ''),
      ),
    ...(content.thaw === undefined ? [] : [headed('Thaw', `${content.thaw}.`)]),
  ];
}

const blank = /[\s\u00A0]/;

/** Signs of a text that the label's type has not got. @example missingSigns('Crème brûlée') // []: the fonts have all of them */
export const missingSigns = (text: string): string[] =>
  [...new Set([...text.normalize('NFC')])].filter(
    (sign) => !blank.test(sign) && (regularWidths[sign] === undefined || boldWidths[sign] === undefined),
  );

/** A text as it can be printed: signs that the type lacks are left out, never drawn as boxes. */
const printable = (text: string): string => {
  const composed = text.normalize('NFC');
  const missing = missingSigns(composed);
  return missing.length === 0
    ? composed
    : [...composed]
        .filter((s) => !missing.includes(s))
        .join('')
        .replace(/ {2,}/g, ' ')
        .trim();
};

/** A content of printable signs only, and which were left out. */
export function printableContent(content: LabelContent): { content: LabelContent; missing: string[] } {
  const all = [
    content.name,
    ...content.allergens,
    ...content.cautions,
    ...content.add.map((a) => a.name),
    ...content.dose,
    ...content.heat.flat(),
    content.thaw ?? '',
  ];
  const missing = [...new Set(all.flatMap(missingSigns))];
  if (missing.length === 0 && all.every((t) => t === t.normalize('NFC'))) return { content, missing };
  return {
    missing,
    content: {
      ...content,
      // a name all of whose signs are missing is still its code
      name: printable(content.name) || content.code,
      allergens: content.allergens.map(printable),
      cautions: content.cautions.map(printable),
      add: content.add.map((a) => ({ ...a, name: printable(a.name) })),
      dose: content.dose.map(printable),
      heat: content.heat.map((w) => w.map(printable)),
      ...(content.thaw !== undefined && { thaw: printable(content.thaw) }),
    },
  };
}
