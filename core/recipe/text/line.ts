import type { Line, Unit } from '#core/contract';
import { inBase, times, toNumber, type Rational } from '#core/kitchen';
import { formClass, isForm, onlyForm, sizeOf, takeForms } from './form.ts';
import { headingOf } from './heading.ts';
import { contentsAfter, isPack, isRange, readMeasure } from './measure.ts';
import { readNumber } from './number.ts';
import { trailingUnit } from './trailing.ts';
import { leading, ofWord, sizeWords } from './words.ts';

/** A written ingredient line, taken apart. What is not understood stays in `name` or `note` as it was written. */
export interface ReadLine {
  written: string;
  heading?: string;
  amount?: Rational;
  /** High end of a range; `0` to it for “up to”. */
  amountTo?: Rational;
  unit?: Unit;
  name: string;
  /** What may be taken in its place, as written. */
  alternatives?: string[];
  /** The class of what is done to it. */
  form?: NonNullable<Line['form']>;
  /** What is done to it, as written. */
  formText?: string;
  sizeMm?: number;
  note?: string;
  toTaste: boolean;
  /** A figure that cannot be meant: to be asked about, never cooked. */
  asks?: 'nothing' | 'tooMuch';
}

/** Whether a name is a food that is known for sure: tells “vegetable or chicken stock” and “oil and vinegar” apart. */
export type Knows = (name: string) => boolean;

/** Tidies white space, bullets, footnote marks and the tick boxes and numbers that pages put before a line. */
const tidy = (text: string): string =>
  text
    .replace(/[\u200B-\u200D\uFEFF\u00AD]/g, '')
    .replace(/[\u00A0\u2000-\u200A\u202F\u3000\t]/g, ' ')
    .replace(/^(?:[\s•‣◦▪▫■□▢☐☑✓✔●○∙·*–—-]+(?=\S)|\[[ x]?\]\s*)+/iu, '')
    .replace(/^\d{1,2}[.)]\s+(?=[\d¼-¾⅐-⅞])/u, '')
    .replace(/[*†‡§]+$/u, '')
    // a sentence’s end, or what led to the next line
    .replace(/(?<=[\p{L}\d)%])\s*[.,;!…]+\s*$/u, '')
    // "Zwiebel(n)", "Zehe/n": one or more of it
    .replace(/(?<=\p{L})(?:\((?:n|en|e|er|s|es|r)\)|\/n)(?!\p{L})/gu, '')
    .replace(/\s+/g, ' ')
    .trim();

/** More than any household cooks at once; what is beyond is asked about. */
const most = { g: 100_000, ml: 100_000, count: 1000 };

function asked(amount: Rational | undefined, amountTo: Rational | undefined, unit: Unit | undefined): ReadLine['asks'] {
  if (amount === undefined || !unit) return undefined;
  const high = amountTo ?? amount;
  if (toNumber(high) === 0) return 'nothing';
  const base = inBase({ amount: high, unit });
  const limit = base ? (base.dimension === 'mass' ? most.g : most.ml) : most.count;
  return (base?.value ?? toNumber(high)) > limit ? 'tooMuch' : undefined;
}

/** Zest, juice and the like before their fruit: the number stands behind. */
const partOf =
  /^((?:finely |coarsely |freshly )?(?:grated |squeezed |pared |thinly pared )?(?:zest|juice|rind|peel)(?:\s*(?:and|&|\+)\s*(?:finely )?(?:grated )?(?:zest|juice|rind))?)\s+(?:of|from)\s+|^((?:le )?(?:jus|zeste)s?)\s+d[e'’]\s*|^(saft|schale|abrieb)\s+(?:von\s+)?|^(succo|scorza)\s+di\s+|^(zumo|jugo|ralladura)\s+de\s+/iu;

/** What a food is for, and when it goes in: a note. */
const purpose =
  /\s+(?:for\s+(?:the\s+)?(?:\p{L}+ing\b|tin|pan|dish|top|topping|table|tray|pot|glaze|serving)|to\s+(?:serve|taste|finish|garnish|season|dust|drizzle|fry|grease|glaze|decorate|cover|thin|thicken|brush)|zum|zur|zur? |pour (?:la|le|les|servir)|per |para )\b.*$/iu;
/** Words before a food that describe and do not name it. */
const describing =
  /^(?:ripe|nice|good[- ]quality|good|best[- ]quality|best|organic|free[- ]range|unwaxed|firm|plump|sweet ripe|very ripe|overripe|day[- ]old|leftover|each|recipe(?: for)?)\s+/iu;

interface Parts {
  name: string;
  forms: string[];
  notes: string[];
  alternatives: string[];
}

/** The words after the measure: name, forms, notes, in whatever order they come. */
function partsOf(text: string, knows: Knows | undefined): Parts {
  const forms: string[] = [];
  const notes: string[] = [];
  // what stands in brackets is said beside the food
  const open = text.replace(/\(([^()]*)\)?/g, (_, inner: string) => {
    for (const part of inner.split(/[,;]/).map((p) => p.trim())) if (part) (isForm(part) ? forms : notes).push(part);
    return ' ';
  });
  const segments = open
    .split(/[;,]|\s[-–—+]\s/)
    .map((s) => s.replace(/\s+/g, ' ').trim())
    .filter(Boolean);
  let head = segments.shift() ?? '';
  // “trimmed, skinless duck legs”: the food has not come yet
  while (segments.length > 0 && (onlyForm(head) || /^(?:skinless|boneless|skin-on|bone-in|large|small|medium|fresh|ripe)$/i.test(head))) {
    if (onlyForm(head)) forms.push(head);
    else segments[0] = `${head} ${segments[0] ?? ''}`;
    head = segments.shift() ?? '';
  }
  const before: string[] = [];
  for (const part of segments) {
    const said = part.replace(/^(?:and|then)\s+/i, '');
    if (isForm(said)) before.push(said);
    else if (/^(?:skinless|boneless|skin-on|bone-in)(?: and (?:skinless|boneless))?$/i.test(said)) head = `${said} ${head}`;
    else notes.push(part);
  }
  const to = purpose.exec(head);
  if (to && to.index > 0) {
    notes.push(to[0].trim());
    head = head.slice(0, to.index);
  }
  const such = /\s+(?:such as|like|e\.g\.?|i\.e\.?|preferably|plus extra|plus more|mixed with|from a|optional)\b.*$/i.exec(head);
  if (such && such.index > 0) {
    notes.push(such[0].trim());
    head = head.slice(0, such.index);
  }
  let name = head.replace(ofWord, '');
  for (let i = 0; i < 3; i += 1) {
    const word = describing.exec(name) ?? sizeWords.exec(name);
    if (!word || word[0].length >= name.length) break;
    notes.push(word[0].replace(/[\s,]+$/, '').trim());
    name = name.slice(word[0].length).replace(ofWord, '');
  }
  const taken = takeForms(name);
  forms.unshift(...taken.forms);
  name = taken.name;
  for (let i = 0; i < 2; i += 1) {
    const word = describing.exec(name) ?? sizeWords.exec(name);
    if (!word || word[0].length >= name.length) break;
    notes.push(word[0].trim());
    name = name.slice(word[0].length);
  }
  const late = /^(.+\p{L})\s+(medianas?|medianos?|grandes?|pequeñ[ao]s?|medi[aoe]|grossi?|piccol[aoie])$/iu.exec(name);
  if (late?.[1] && late[2]) {
    name = late[1];
    notes.push(late[2]);
  }
  forms.push(...before);
  const { name: first, alternatives } = chosen(name, knows);
  return { name: first.replace(/^[\s:.,-]+|[\s:.,*-]+$/g, '').trim(), forms, notes, alternatives };
}

/** “mango or papaya” is a mango; “vegetable or chicken stock” is vegetable stock. */
function chosen(name: string, knows: Knows | undefined): { name: string; alternatives: string[] } {
  const [first, ...others] = name.split(/\s+(?:or|oder|ou|\/)\s+/i);
  if (first === undefined || others.length === 0 || !first.trim()) return { name, alternatives: [] };
  const last = others.at(-1) ?? '';
  const noun = /^(?:\S+\s+)+(\S+)$/.exec(last)?.[1];
  const shared = noun && !/\s/.test(first) && knows && !knows(first) && knows(`${first} ${noun}`);
  return { name: shared ? `${first} ${noun}` : first, alternatives: others };
}

/** `Butter - 50 g`, `flour 500 g`, `eggs x 3`: the measure stands behind. */
function measureBehind(text: string): string | undefined {
  const m = /^([\p{L}][\p{L}\s'’-]*?)\s*(?:[:=,–—-]|\bx|×|\s)\s*(\(?(?:[\d¼-¾⅐-⅞]).*)$/iu.exec(text);
  if (!m?.[1] || !m[2] || /\b(?:type|no|size|grade|vitamin)$/i.test(m[1])) return undefined;
  const behind = m[2].replace(/^\((.*)\)$/, '$1');
  const measure = readMeasure(behind);
  const over = measure?.rest.trim() ?? '';
  if (!measure || measure.amount === undefined || (over !== '' && !/^[,(;]/.test(over))) return undefined;
  return `${behind.slice(0, behind.length - measure.rest.length)} ${m[1]}${measure.rest}`;
}

function readOne(written: string, text: string, knows: Knows | undefined): ReadLine {
  const toTaste = /\bto taste\b|\bto season\b|nach geschmack|al gusto|selon (?:le |votre )?go[uû]t|q\.?\s?b\./i.test(text);
  let rest = text.replace(leading, '');
  const part = partOf.exec(rest);
  const partName = part ? (part[1] ?? part[2] ?? part[3] ?? part[4] ?? part[5] ?? '') : '';
  if (part) rest = rest.slice(part[0].length);
  const measure = readMeasure(rest) ?? readMeasure(measureBehind(rest) ?? '');
  const { notes: said = [] } = measure ?? {};
  const after = (measure?.rest ?? rest).replace(/^\s*[-–—:.](?=\s)/, '').replace(ofWord, ' ');
  const parts = partsOf(after, knows);
  let { name } = parts;
  let { amount, amountTo, unit } = measure ?? {};
  const notes = [...said, ...parts.notes];
  const trailing = unit === 'piece' && amount !== undefined ? trailingUnit(name) : undefined;
  if (trailing) ({ unit, name } = trailing);
  if (isPack(unit) && amount !== undefined) {
    const at = after.indexOf('(');
    const holds = at < 0 ? undefined : contentsAfter(after.slice(at));
    if (holds) {
      notes.splice(0, notes.length, `${toNumber(amount)} of ${holds.said}`, ...notes.filter((n) => n !== holds.said));
      [amount, unit] = [holds.total ? holds.amount : times(amount, holds.amount), holds.unit];
    }
  }
  const fruit = unit === 'piece' && amount !== undefined ? /^(.*\b(?:lemon|lime|orange|grapefruit))s? (juice|zest)$/i.exec(name) : null;
  if (fruit?.[1] && fruit[2]) {
    name = fruit[1];
    parts.forms.unshift(fruit[2]);
  }
  const forms = [...(partName ? [partName.replace(/^le\s+/i, '')] : []), ...parts.forms];
  const formText = forms.join(', ').replace(/\s+/g, ' ').trim();
  const form = formText ? formClass(formText) : undefined;
  const sizeMm = form === 'cubed' || form === 'diced' || form === 'sliced' ? sizeOf(formText) : undefined;
  const note = notes.filter((n) => n && n !== name).join('; ');
  if (amount !== undefined && amountTo !== undefined && toNumber(amountTo) <= toNumber(amount)) amountTo = undefined;
  const asks = asked(amount, amountTo, unit);
  return {
    written,
    name: name || text || written,
    toTaste,
    ...(amount !== undefined && { amount }),
    ...(amountTo !== undefined && { amountTo }),
    ...(amount !== undefined && unit !== undefined && { unit }),
    ...(parts.alternatives.length > 0 && { alternatives: parts.alternatives }),
    ...(form && { form }),
    ...(formText && { formText: formText.slice(0, 160) }),
    ...(sizeMm !== undefined && { sizeMm }),
    ...(note && { note: note.slice(0, 200) }),
    ...(asks && { asks }),
  };
}

const saltAnd =
  /^((?:sea |table |fine |flaky |kosher |coarse )?(?:salt|salz|sel|sale|sal)(?: flakes)?)\s*(?:and|&|\+|,|und|et|e|y|\/)\s*((?:(?:freshly[- ])?(?:ground|milled|cracked)\s+|schwarzer?\s+)*(?:black |white )?(?:pepper|pfeffer|poivre|pepe|pimienta))\b(.*)$/iu;

/** Several foods of one line: `salt and pepper`, `3 carrots + 2 sticks celery`, `oil and vinegar`. */
function foodsOf(text: string, knows: Knows | undefined): string[] {
  const seasoning = saltAnd.exec(text);
  if (seasoning?.[1] && seasoning[2]) {
    const tail = seasoning[3]?.trim() ?? '';
    return [seasoning[1], seasoning[2]].map((food) => `${food}${tail ? `, ${tail.replace(/^,\s*/, '')}` : ''}`);
  }
  const each = /^(.*?\S)\s+each\s+(?:of\s+)?(\p{L}.*)$/iu.exec(text);
  const list = each?.[2]?.split(/\s*,\s*(?:and\s+)?|\s+(?:and|&)\s+/i) ?? [];
  const eachOf = each?.[1] ? readMeasure(`${each[1]} of it`) : undefined;
  if (
    each?.[1] &&
    list.length > 1 &&
    eachOf?.amount !== undefined &&
    /^\s*of it$/.test(eachOf.rest) &&
    list.every((f) => /^\p{L}{2}/u.test(f))
  )
    return list.map((food) => `${each[1]} of ${food}`);
  const parts = text.split(
    /\s*(?:\+|&|;|,\s*(?:and|plus)?|\band\b|\bplus\b|\bund\b|\bet\b)\s*(?=(?:about\s+)?(?:[\d¼-¾⅐-⅞]|an?\s|half\s|one\s|two\s|three\s))/iu,
  );
  const named = (part: string): boolean => {
    const read = readOne(part, part, knows);
    return (
      read.amount !== undefined &&
      read.name !== part &&
      !onlyForm(read.name) &&
      !/^(?:finely|roughly|thinly|thickly|coarsely|freshly|very|lightly)$/i.test(read.name) &&
      /^\p{L}{2}/u.test(read.name) &&
      !/^(?:for|to|of|more|extra|reserved|total|each|cm|mm|inch)\b/iu.test(read.name)
    );
  };
  if (parts.length > 1 && !isRange(text) && parts.every(named)) return parts;
  const two = readNumber(text) ? undefined : /^(\p{L}[\p{L} -]*?)\s+(?:and|&|und|et|e|y)\s+(\p{L}[\p{L} -]*)$/iu.exec(text);
  if (two?.[1] && two[2] && knows && !knows(text) && knows(two[1]) && knows(two[2])) return [two[1], two[2]];
  return [text];
}

/**
 * Reads one written line into the foods it names: most lines name one, “salt and pepper” two.
 * @param knows whether a name is a food known for sure; without it nothing is split or shared by what is known
 * @example readLines('3 carrots + 2 sticks celery').map((l) => l.name) // ['carrots', 'celery']
 */
export function readLines(written: string, knows?: Knows): [ReadLine, ...ReadLine[]] {
  const text = tidy(written.slice(0, mostChars));
  const heading = headingOf(written.slice(0, mostChars), text);
  if (heading !== undefined) return [{ written, heading, name: heading, toTaste: false }];
  const [first = text, ...others] = foodsOf(text, knows);
  return [readOne(written, first, knows), ...others.map((food) => readOne(written, food, knows))];
}

/** No line is longer; what is beyond is not looked at and stays as it is written. */
const mostChars = 600;

/**
 * Reads one written line into amount, unit, ingredient and form; of several foods the first.
 * @example readLine('2 x 400 g tins chopped tomatoes')
 *   // { amount: '800', unit: 'g', name: 'tomatoes', form: 'chopped', formText: 'chopped', note: '2 of 400 g' }
 */
export const readLine = (written: string): ReadLine => readLines(written)[0];

/**
 * An amount typed on its own: `2`, `1/2`, `1,5`, `2 to 3`, `up to 4`.
 * @returns undefined when it is none
 * @example readAmount('2-3') // { amount: '2', amountTo: '3' }
 */
export function readAmount(text: string): { amount: Rational; amountTo?: Rational } | undefined {
  const read = readMeasure(text.trim());
  if (!read || read.amount === undefined || read.rest.trim() !== '' || read.unit !== 'piece') return undefined;
  return { amount: read.amount, ...(read.amountTo !== undefined && { amountTo: read.amountTo }) };
}
