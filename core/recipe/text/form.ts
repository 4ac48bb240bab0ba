import type { Line } from '#core/contract';

type Form = NonNullable<Line['form']>;

/** What is done to a food before it goes in, by the class that tells its rate and its density; the first that is met counts. */
const classes: readonly [Form, RegExp][] = [
  ['diced', /\bdiced?\b|\bbrunoise\b|gewürfelt|in würfeln?\b|en dés\b|a (?:dadini|cubetti)\b|en (?:dados|cubos)\b/iu],
  [
    'sliced',
    /\bslice[sd]?\b|\bslivered\b|\bcoins\b|\brings\b|\bribbons?\b|\bshaved\b|geschnitten|in (?:scheiben|ringen?)\b|émincé|en (?:rondelles|lamelles)|affettat|a fette|en rodajas|en láminas/iu,
  ],
  ['grated', /\bgrated\b|\bshredded\b|\bspiralised\b|\bmicroplaned\b|gerieben|geraspelt|râpé|grattugiat|rallad/iu],
  [
    'cubed',
    /\bcubed\b|\b(?:cubes|chunks|pieces|wedges|batons|matchsticks|strips|julienned?)\b|en morceaux|a (?:pezzi|tocchetti)|en trozos|in stücken?/iu,
  ],
  ['chopped', /\bchopped\b|\bsnipped\b|\bbroken\b|\bbashed\b|\bfloretted\b|gehackt|haché|ciselé|tritat|picad[ao]|troceado/iu],
  [
    'minced',
    /\bminced\b|\bcrushed\b|(?<!(?:freshly|coarsely|finely) )\bground\b|\bpounded\b|gepresst|zerdrückt|pressé|écrasé|schiacciat|machacad/iu,
  ],
  ['pureed', /\bpur[ée]ed\b|\bmashed\b|\bblended\b|\bsieved\b|püriert/iu],
  ['drained', /\bdrained\b|abgetropft|égoutté|scolat|escurrid/iu],
  ['cooked', /\bcooked\b|\b(?:hard-|soft-)?boiled\b|\bsteamed\b|\broast(?:ed)?\b|\bpoached\b|gekocht|cuite?s?\b|cott[oaie]\b|cocid/iu],
  ['halved', /\bhalved\b|\bquartered\b|halbiert|geviertelt/iu],
  ['rinsed', /\brinsed\b|\bwashed\b|\bscrubbed\b|gewaschen|rincé|lavé|lavat|lavad/iu],
  ['torn', /\btorn\b|\bshredded by hand\b/iu],
  ['peeled', /\bpeeled\b|\bskinned\b|geschält|épluché|pelé|pelat|sbucciat|pelad/iu],
];

/**
 * The class of a form as it was written: the first cut named, else what else is done to it.
 * @example formClass('peeled and cut into 1 cm dice') // 'diced'
 */
export const formClass = (text: string): Form | undefined => classes.find(([, words]) => words.test(text))?.[0];

const adverb = String.raw`(?:(?:very|extra|super)[ -])?(?:finely|coarsely|roughly|thinly|thickly|freshly|lightly|well|gently|fairly|neatly|loosely|evenly|crudely|just|quite|newly|fine|fein|grob|dünn|frisch|finement|grossièrement|finemente)`;
const participles = [
  'diced|cubed|sliced|chopped|minced|grated|shredded|crushed|peeled|unpeeled|halved|quartered|torn|rinsed|drained|cooked|boiled|hard-boiled|soft-boiled|steamed|poached',
  'roasted|toasted|grilled|blanched|melted|softened|beaten|whisked|separated|sifted|crumbled|snipped|pressed|stoned|pitted|cored|deseeded|seeded|trimmed|skinned',
  'scrubbed|washed|mashed|pur[ée]ed|juiced|zested|squeezed|thawed|defrosted|soaked|julienned|picked|podded|shelled|hulled|topped|tailed|debearded|bashed|bruised',
  'broken|cracked|slivered|shaved|spiralised|sieved|strained|warmed|descaled|gutted|boned|deboned|butterflied|flattened|scored|destemmed|stemmed|crumbed|caramelised|fried|browned|flaked|cleaned|deveined',
  'geschält|gehackt|gewürfelt|gerieben|geraspelt|geschnitten|halbiert|geviertelt|gewaschen|abgetropft|gekocht|püriert|entsteint|entkernt|geschmolzen|zerlassen|weich|gepresst|geputzt|geröstet|zimmerwarm',
  'hachée?s?|émincée?s?|râpée?s?|épluchée?s?|pelée?s?|ciselée?s?|fondue?s?|égouttée?s?|rincée?s?|écrasée?s?|coupée?s?|lavée?s?|dénoyautée?s?|ramolli|pressée?s?',
  'tritat[oaie]|affettat[oaie]|grattugiat[oaie]|pelat[oaie]|sbucciat[oaie]|tagliat[oaie]|sgocciolat[oaie]|schiacciat[oaie]|lavat[oaie]|fus[oa]|snocciolat[oaie]',
  'picad[oa]s?|cortad[oa]s?|rallad[oa]s?|pelad[oa]s?|troceados?|machacad[oa]s?|escurrid[oa]s?|lavad[oa]s?|derretid[oa]s?|cocid[oa]s?',
].join('|');

const one = String.raw`(?:${adverb}\s+)?(?:${participles})`;
const listed = String.raw`${one}(?:\s*(?:,|and|&|und|et|e|y|,\s*and)\s*${one})*`;
/** A cut, with the size and the shape that follow it: `cut into 1 cm dice`, `in large chunks`. */
const cutInto = String.raw`(?:(?:${adverb}\s+)?(?:cut|sliced|chopped|diced|torn|broken|divided)\s+(?:in|into|to|on|lengthways|crossways|crosswise|lengthwise|diagonally|across|thin(?:ly)?|thick(?:ly)?|fine(?:ly)?|small|up)|in(?:to)?\s+(?:[\d.,½¼¾/ -]*(?:mm|cm|inch(?:es)?|in)?\s*[- ]?(?:thick\s+|thin\s+|fine\s+|large\s+|small\s+|bite[- ]size[d]?\s+|big\s+|long\s+|rough\s+|chunky\s+)?(?:chunks|cubes|slices|pieces|strips|dice|rings|wedges|batons|matchsticks|ribbons|quarters|halves|florets|rounds|coins))|[\d.,½¼¾/ -]+(?:mm|cm|inch(?:es)?)[- ]+(?:thick\s+)?(?:chunks|cubes|slices|pieces|strips|dice|rings|wedges|rounds)|in (?:scheiben|würfeln?|stücken?|ringen|streifen)|en (?:dés|rondelles|morceaux|lamelles|rodajas|dados|trozos|cubos|láminas)|a (?:cubetti|dadini|fette|pezzi|tocchetti|rondelle))`;

const front = new RegExp(`^(?:${listed})[\\s,]+(?=[\\p{L}])`, 'iu');
const back = new RegExp(`\\s+(${listed}(?:\\s+(?:thin(?:ly)?|thick(?:ly)?|fine(?:ly)?|small|lengthways|well|fino|fina))?)$`, 'iu');
const cutBack = new RegExp(`\\s+(${cutInto}(?![\\p{L}]).*)$`, 'iu');
/** A form anywhere in a part of the line that stands apart. */
const anywhere = new RegExp(`(?<![\\p{L}-])(?:${participles}|${cutInto})(?![\\p{L}])`, 'iu');
/** What is taken off, left on or parted: `skin on`, `stalks out`, `leaves picked`, `zest and juice`. */
const parted =
  /^(?:(?:the\s+)?(?:tough\s+|outer\s+|woody\s+)*(?:skins?|stalks?|stems?|seeds?|crusts?|bones?|leaves|rind|core|fat|pips?|shells?|heads?|tails?|peel|tops?|ends?|kernels?|pith|membrane|sinew|yolks?|whites?|string)\s+(?:and \p{L}+\s+)?(?:removed|out|off|on|discarded|reserved|picked|separated|cut off|stripped|only|finely|roughly|chopped|sliced)\b.*|(?:finely\s+|coarsely\s+)?(?:grated\s+)?(?:zest|juice|rind)(?:\s*(?:and|&|\+)\s*(?:zest|juice))?(?:\s+only|\s+of)?|at room temperature|room temperature|(?:freshly |coarsely |finely )?ground|bone[- ]in|skin[- ]on|skin[- ]off|in large pieces|in chunks)$/iu;

/** Words before a food that are a part of its name though they look like a form. */
const partOfName = (form: string, after: string): boolean =>
  (/(?:roasted|toasted|pressed)$/i.test(form) && /\b(?:oil|seaweed|flour)$/i.test(after)) ||
  /^(?:ham|beetroot in vinegar|egg noodles?|milk|cream|yogh?urt|meats?)$/i.test(after) ||
  (/^(?:strained|fried|browned|broken|cleaned|picked|scored)$/i.test(form) && /\b(?:rice|yogh?urt|onions?|shallots?|orzo)$/i.test(after));

/** Meat that is bought ground: the word is a form there; ground cumin is a spice of that name. */
const groundFront =
  /^(?:(freshly ground|coarsely ground|finely ground)\s+(?=\p{L})|(ground)\s+(?=(?:beef|pork|lamb|turkey|chicken|veal|venison|meat|chuck|bison)\b))/iu;

/** What was done to a food, taken out of its name. */
export interface TakenForms {
  name: string;
  forms: string[];
}

/**
 * Takes forms out of the words of a food, before it and after it.
 * @example takeForms('finely chopped flat parsley') // { name: 'flat parsley', forms: ['finely chopped'] }
 */
export function takeForms(text: string): TakenForms {
  const forms: string[] = [];
  let name = text.trim();
  const cut = cutBack.exec(name);
  if (cut?.[1] && cut.index > 0) {
    const before = name.slice(0, cut.index).trim();
    if (/\p{L}{2}/u.test(before)) {
      forms.push(cut[1].trim());
      name = before;
    }
  }
  const ground = groundFront.exec(name);
  if (ground) {
    forms.unshift((ground[1] ?? ground[2] ?? '').trim());
    name = name.slice(ground[0].length);
  }
  const before = front.exec(name);
  if (before) {
    const form = before[0].replace(/[\s,]+$/, '');
    const after = name.slice(before[0].length);
    if (!partOfName(form, after)) {
      forms.unshift(form);
      name = after;
    }
  }
  const after = back.exec(name);
  if (after?.[1]) {
    forms.push(after[1].trim());
    name = name.slice(0, after.index).trim();
  }
  return { name, forms };
}

/**
 * Whether a part of a line that stands apart says what is done to the food; what it is for or how much more is a note.
 * @example isForm('cut into 2 cm dice') // true; isForm('plus extra to serve') // false
 */
export function isForm(part: string): boolean {
  const text = part.trim();
  if (
    /^(?:or|plus|for|to|if|optional|such as|like|about|preferably|e\.?g|i\.?e|see|from|loosely|tightly|firmly|depending|any|not)\b/i.test(
      text,
    )
  )
    return false;
  return anywhere.test(text) || parted.test(text);
}

/** Whether a part of a line holds a form and no food: `trimmed, skinless duck legs` has its food behind the comma. */
export const onlyForm = (part: string): boolean => new RegExp(`^(?:${listed})$`, 'iu').test(part.trim());

const perInch = 25.4;
/**
 * The size a form asks for, in millimetres. @example sizeOf('cut into 2 cm cubes') // 20
 * @returns undefined when none is said
 */
export function sizeOf(text: string): number | undefined {
  const m = /(\d+(?:[.,]\d+)?)?\s*([½¼¾]|\d+\s*\/\s*\d+)?\s*-?\s*(mm|cm|inch(?:es)?|in)\b(?!\s*(?:piece|knob|stick)(?!s))/i.exec(text);
  if (!m || (m[1] === undefined && m[2] === undefined)) return undefined;
  const parts: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };
  const [n = '0', d = '1'] = (m[2] ?? '').split('/');
  const part = m[2] === undefined ? 0 : (parts[m[2]] ?? Number(n) / Number(d));
  const size = Number((m[1] ?? '0').replace(',', '.')) + part;
  const each = /^mm$/i.test(m[3] ?? '') ? 1 : /^cm$/i.test(m[3] ?? '') ? 10 : perInch;
  const mm = Math.round(size * each);
  return Number.isFinite(mm) && mm > 0 && mm <= 200 ? mm : undefined;
}
