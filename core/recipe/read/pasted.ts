import { readMeasure } from '../text/measure.ts';
import { readLine } from '../text/line.ts';
import { headingOf } from '../text/heading.ts';
import { keptSchema } from '#core/contract';
import { minutesOf } from './duration.ts';
import { fitted, most, type FileRecipe } from './file.ts';

type Part = 'lines' | 'steps' | 'notes' | 'aside';

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

const yieldLine =
  /^(?:recipe\s+)?(?:serves|makes|yields?|servings?|portions?|feeds|für\s+\d|portionen|pour\s+\d+\s+personnes|per\s+\d+\s+persone|para\s+\d+\s+personas|dosi per|enough for|ergibt)\b\s*:?\s*\S|^\d{1,3}(?:\s*[-–]\s*\d{1,3})?\s+(?:servings?|portions?|portionen|personen|personnes|persone|people|porciones|raciones)\.?$/iu;
const timeLine =
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

const imperative = (line: string): boolean =>
  verbs.has((/^\p{L}+/u.exec(line.replace(/^[\s•*·–-]*(?:step\s*)?(?:\d{1,2}[.):]\s*)?/iu, ''))?.[0] ?? '').toLowerCase());
const numbered = (line: string): boolean => /^(?:step\s*)?\d{1,2}[.):]\s+\p{L}/iu.test(line) && !/^\d{1,2}[.)]\s+[\d¼-¾]/u.test(line);
const longest = { line: 160, lineWords: 22, title: 90 };

/** Whether a line is an ingredient by its own looks: it begins or ends with a measure and is no sentence. */
function measured(line: string): boolean {
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
function tidyLines(text: string): string[] {
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

const unmarked = (line: string): string =>
  line
    .replace(/^#{1,6}\s*/, '')
    .replace(/^(?:\*\*|__)(.*?)(?:\*\*|__):?$/, '$1')
    .replace(/\s*[:：]$/u, '')
    .trim();
const partOf = (line: string): Part | undefined => {
  const bare = unmarked(line);
  return bare.length > 60 ? undefined : partWords.find(([, words]) => words.test(bare))?.[0];
};

/** What pages put between the lines: tools to scale and to tick, no foods. */
const clutter =
  /^(?:us customary.*|metric|(?:\d(?:\/\d)?x\s*)+|scale.*|(?:un)?check all|add to .*|shop .*|deselect all|cook mode.*|units?:?.*|sponsored.*|jump to.*|print.*|pin( it)?|save|share.*)$/iu;

/** The road to a page, as pages show it. */
const crumbs = /\s[>»›/]\s/u;

/** A short line that stands above something: a part of the dish, or the name of all of it. */
const looksLikeTitle = (line: string): boolean =>
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

interface Sorted {
  name?: string;
  lines: string[];
  steps: FileRecipe['steps'];
  notes: string[];
  story: string[];
  yieldText?: string;
  times: Pick<FileRecipe, 'prepMin' | 'cookMin' | 'totalMin'>;
  tags: string[];
  source?: string;
}

/** Figures about the whole: what it makes, how long it takes, where it comes from. Undefined when the line says none of these. */
function takeMeta(line: string, into: Sorted): boolean {
  const bare = line
    .replace(/^[•*·–-]\s+/u, '')
    .replace(/(?:\*\*|__)/g, '')
    .replace(/^[*_](.*)[*_]$/, '$1');
  const parts = bare.split(/\s+[|•·]\s+|\s{2,}|;\s+/).filter(Boolean);
  const known = (part: string): boolean => yieldLine.test(part) || timeLine.test(part);
  if (parts.length > 1 && parts.some(known)) return parts.map((p) => takeMeta(p, into)).some(Boolean);
  if (bare.length < 100 && yieldLine.test(bare)) {
    into.yieldText ??= bare
      .replace(/^(?:recipe\s+)?(?:servings?|serves|makes|yields?|portions?|portionen)\s*:\s*/iu, '')
      .replace(/^\*|\*$/g, '')
      .trim();
    return true;
  }
  if (bare.length < 100 && timeLine.test(bare)) {
    const min = minutesOf(bare);
    if (min === undefined) return false;
    const key = /^(?:prep|active|hands|vorb|arbeit|temps de pr|tempo di prep)/i.test(bare)
      ? 'prepMin'
      : /^(?:total|ready|gesamt)/i.test(bare)
        ? 'totalMin'
        : 'cookMin';
    into.times[key] ??= min;
    return true;
  }
  const tags = /^(?:tags?|keywords?|category|course|cuisine)\s*:\s*(.+)$/iu.exec(bare);
  if (tags?.[1]) {
    into.tags.push(
      ...tags[1]
        .split(/[,;]/)
        .map((t) => t.trim().slice(0, 40))
        .filter(Boolean),
    );
    return true;
  }
  const source = /^(?:source|from|by|author|quelle|adapted from)\s*:\s*(.+)$/iu.exec(bare);
  if (source?.[1]) {
    into.source ??= source[1].trim().slice(0, 200);
    return true;
  }
  return false;
}

/** A line that says of itself that it is a note. */
const saidNote =
  /^(?:cook['’]?s\s+)?(?:tips?|notes?|storage|to (?:freeze|store|reheat)|freezing|tipp|hinweis|astuce|consiglio|consejo)\s*:\s*\S/iu;
const unbulleted = (line: string): string => line.replace(/^(?:[•‣▢☐☑□▪✓*·–-]|\[[ x]?\])\s*(?=\S)/iu, '').trim();

const stepText = (line: string): string =>
  line
    .replace(/^[•‣▢☐□▪*·–-]\s*/u, '')
    .replace(/^(?:step\s*)?\d{1,2}\s*[.):]\s*/iu, '')
    .replace(/^step\s*\d{1,2}\s*$/iu, '')
    .trim();

const everyday = /\b(?:salt|pepper|oil|water|butter|sugar|flour|milk|parsley|herbs?)\b/iu;

/** The name of a part of the dish without any mark: it stands again above its steps, or alone above measured lines. */
function isPartName(lines: readonly string[], at: number): boolean {
  const line = lines[at] ?? '';
  if (line.split(' ').length > 5 || /[\d,.;:!?¼-¾]/u.test(line) || !/^\p{Lu}/u.test(line) || partOf(line) || everyday.test(line))
    return false;
  if (lines.some((l, i) => i !== at && l === line)) return true;
  return (lines[at - 1] ?? '') === '' && measured(lines[at + 1] ?? '') && measured(lines[at + 2] ?? lines[at + 1] ?? '');
}

/** With headings for its parts: each line goes where it stands. */
function byHeadings(lines: readonly string[], into: Sorted): void {
  let part: Part | 'front' = 'front';
  let section: string | undefined;
  lines.forEach((line, i) => {
    if (line === '') return;
    const named = partOf(line);
    const said = saidNote.exec(line);
    if (said && part !== 'front' && part !== 'lines') return void into.notes.push(line);
    if (named) {
      part = named;
      section = undefined;
      const beside =
        /\b(?:for|für|pour|per|para)\s+(\d.*)$/iu.exec(unmarked(line)) ?? /\((\d.*|serves.*|makes.*)\)$/iu.exec(unmarked(line));
      if (named === 'lines' && beside?.[1]) into.yieldText ??= beside[1];
      return;
    }
    if ((part === 'front' || part === 'aside') && takeMeta(line, into)) return;
    if (part === 'front') {
      if (into.name === undefined && looksLikeTitle(line)) into.name = unmarked(line);
      else into.story.push(line);
    } else if (part === 'lines') {
      if (clutter.test(line)) into.story.push(line);
      else if (!takeMeta(line, into)) into.lines.push(isPartName(lines, i) ? `${line}:` : unbulleted(line));
    } else if (part === 'steps') {
      const heading = isPartName(lines, i) ? line : headingOf(line, line);
      if (heading) section = heading;
      else if (stepText(line)) into.steps.push({ text: stepText(line), ...(section && { section }) });
    } else (part === 'notes' ? into.notes : into.story).push(line);
  });
}

/** Without them: what is measured is an ingredient, what tells somebody to do something a step, the rest the story around. */
function byLooks(lines: readonly string[], into: Sorted): void {
  const at = lines.flatMap((l, i) => (measured(l) ? [i] : []));
  const [first, last] = [at[0] ?? lines.length, at.at(-1) ?? -1];
  const told = (line: string): boolean => numbered(line) || (imperative(line) && line.length > 12);
  const steps = lines.flatMap((l, i) => (l !== '' && !measured(l) && told(l) ? [i] : []));
  const firstStep = steps[0] ?? lines.length;
  lines.forEach((line, i) => {
    if (line === '') return;
    if (takeMeta(line, into)) return;
    if (measured(line)) return void into.lines.push(unbulleted(line));
    if (saidNote.test(line)) return void into.notes.push(line);
    if (clutter.test(line)) return void into.story.push(line);
    if (into.name === undefined && i < first && i < firstStep && looksLikeTitle(line)) return void (into.name = unmarked(line));
    // between measured lines: a heading of a part, or a food without an amount
    if (i > first && i < last && (i < firstStep || firstStep < first) && line.length <= 60 && !told(line))
      return void into.lines.push(line);
    if (told(line) && (i >= firstStep || numbered(line))) return void into.steps.push({ text: stepText(line) });
    // right below the last measured line: salt, oil for frying
    if (i > last && i < firstStep && last >= 0 && line.length <= 40 && !/[.!?]$/.test(line) && i - last <= 3)
      return void into.lines.push(line);
    if (i > firstStep && i < (steps.at(-1) ?? -1)) return void into.steps.push({ text: stepText(line) });
    if (i > last && last >= 0 && line.length > 40 && into.steps.length > 0) return void into.steps.push({ text: stepText(line) });
    if (i > last && last >= 0 && steps.length === 0 && line.length > 30) return void into.steps.push({ text: stepText(line) });
    into.story.push(line);
  });
}

/** Told in sentences: the measured foods among them are the lines, the sentences the steps. */
function fromProse(lines: readonly string[], into: Sorted): void {
  const chunks = lines.flatMap((l) =>
    l
      .split(/(?:[,;:]|\.(?=\s|$)|\band\b|\bthen\b|\bwith\b)\s*/iu)
      .map((c) => c.replace(/^(?:and|then|add|stir in|fry|take|use)\s+/iu, '').trim()),
  );
  const foods = chunks.filter(
    (c) =>
      c.length < 60 &&
      measured(c) &&
      readMeasure(c)?.amount !== undefined &&
      readLine(c).amount !== undefined &&
      !/\b(?:min(?:ute)?s?|hours?|hrs?|°|degrees)\b/iu.test(c),
  );
  if (foods.length < 2) return;
  const made = /\b((?:serves|makes|feeds)\s+[^.,;]{1,40})/iu.exec(lines.join(' '))?.[1];
  if (made) into.yieldText ??= made.trim();
  into.lines = foods;
  const told = lines.filter((l) => l !== '' && l !== into.name);
  into.steps = told.map((text) => ({ text }));
  into.story = [];
}

/** What a file of ours keeps in a comment at its end. */
const keptComment = /<!--\s*tambo\s+([\s\S]*?)\s*-->/;

function keptOf(text: string): FileRecipe['kept'] {
  const found = keptComment.exec(text)?.[1];
  if (found === undefined) return undefined;
  try {
    const parsed = keptSchema.safeParse(JSON.parse(found.replace(/\\u002d/g, '-')));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

/** More than one recipe with all that stands around it on a page. */
const mostLines = 3000;

function readOne(text: string): FileRecipe | undefined {
  const kept = keptOf(text);
  const lines = tidyLines(text.replace(keptComment, '')).slice(0, mostLines);
  const into: Sorted = { lines: [], steps: [], notes: [], story: [], times: {}, tags: [] };
  const headed = lines.some((l) => partOf(l) === 'lines' || partOf(l) === 'steps');
  if (headed) byHeadings(lines, into);
  else byLooks(lines, into);
  // a method headed alone leaves the lines above it in the front
  if (!kept && headed && into.lines.length === 0) {
    const found: Sorted = { lines: [], steps: [], notes: [], story: [], times: {}, tags: [] };
    byLooks(into.story, found);
    if (found.lines.length > 0) {
      into.lines = found.lines;
      into.story = found.story;
      into.name ??= found.name;
    }
  }
  if (!kept && headed && into.steps.length === 0 && into.lines.length > 0) {
    const from = into.lines.findIndex((l) => !measured(l) && (numbered(l) || (imperative(l) && l.length > 40)));
    if (from > 0) into.steps = into.lines.splice(from).map((l) => ({ text: stepText(l) }));
  }
  if (!kept && into.lines.length === 0) fromProse(lines, into);
  if (!kept && into.lines.filter(measured).length === 0 && (into.lines.length < 2 || into.steps.length === 0)) return undefined;
  const { prepMin, cookMin } = into.times;
  const totalMin = into.times.totalMin ?? (prepMin !== undefined || cookMin !== undefined ? (prepMin ?? 0) + (cookMin ?? 0) : undefined);
  return fitted({
    name: into.name?.slice(0, most.name) ?? 'Recipe without a name',
    lines: into.lines,
    steps: into.steps.filter((s) => s.text !== ''),
    ...(into.yieldText && { yieldText: into.yieldText.slice(0, 120) }),
    ...into.times,
    ...(totalMin !== undefined && { totalMin }),
    tags: into.tags.slice(0, 12),
    ...(into.source && { source: into.source }),
    ...(into.notes.length > 0 && { note: into.notes.join('\n') }),
    ...(kept && { kept }),
    notUnderstood: into.story.length > 0 ? [{ field: 'around the recipe', value: into.story.join('\n').slice(0, 4000) }] : [],
  });
}

/** Where one recipe of a text ends and the next begins: a title of the first rank, or a rule, with a recipe on both sides. */
function partsOf(text: string): string[] {
  const lines = text.split('\n');
  const holdsLines = (part: string): boolean => {
    let n = 0;
    for (const l of tidyLines(part)) if ((measured(l) && (n += 1) >= 2) || partOf(l) === 'lines') return true;
    return false;
  };
  const cutAt = (starts: readonly number[]): string[] => {
    const parts = starts.map((from, i) => lines.slice(from, starts[i + 1]).join('\n'));
    return parts.length > 1 && parts.filter((p) => p.trim() !== '').every(holdsLines) ? parts : [];
  };
  const titles = lines.flatMap((l, i) => (/^#\s+\S/.test(l) && !partOf(l) ? [i] : []));
  if (titles.length > 1) {
    const parts = cutAt(titles);
    if (parts.length > 0) return parts;
  }
  const rules = lines.flatMap((l, i) => (/^\s*(?:={3,}|-{3,}|\*{3,}|_{3,})\s*$/.test(l) && i > 0 ? [i + 1] : []));
  if (rules.length > 0) {
    const parts = cutAt([0, ...rules]);
    if (parts.length > 0) return parts;
  }
  // a second list of ingredients after a method: the next recipe, from its title on
  const starts: number[] = [];
  let seenSteps = false;
  lines.forEach((line, i) => {
    const part = partOf(line.trim());
    if (part === 'steps') seenSteps = true;
    if (part !== 'lines' || !(seenSteps || starts.length === 0)) return;
    let from = i;
    const floor = starts.length === 0 ? 0 : (starts.at(-1) ?? 0) + 1;
    if (starts.length === 0) from = 0;
    else
      for (let k = i - 1, blanks = 0; k > floor && k > i - 12; k -= 1) {
        const above = (lines[k] ?? '').trim();
        if (above === '') {
          blanks += 1;
          if (blanks > 2) break;
          continue;
        }
        if (numbered(above) || above.length > longest.title || /[.!]$/.test(above)) break;
        from = k;
      }
    starts.push(from);
    seenSteps = false;
  });
  return starts.length > 1 ? cutAt(starts) : [];
}

/** Longer texts than any book of recipes are not searched. */
const mostChars = 6_000_000;
/** More lines than five hundred recipes have, and a line longer than any paragraph. */
const mostTextLines = 60_000;
const mostLineChars = 6000;
/** Recipes of one text. */
const mostRecipes = 1000;

/**
 * Reads pasted or plain text, Markdown among it: title, yield, lines and method in any order, with or without headings, a story around them.
 * @returns nothing when no two lines look like ingredients
 * @example readPasted('Leek soup\n\n4 leeks\n1 l stock\n\nSimmer for 20 min.')[0]?.lines // ['4 leeks', '1 l stock']
 */
export function readPasted(text: string): FileRecipe[] {
  const whole = text
    .slice(0, mostChars)
    .split(/\r\n?|\n/, mostTextLines)
    .map((l) => (l.length > mostLineChars && !l.startsWith('<!-- tambo') ? l.slice(0, mostLineChars) : l))
    .join('\n');
  const parts = partsOf(whole);
  return (parts.length > 0 ? parts : [whole]).slice(0, mostRecipes).flatMap((part) => readOne(part) ?? []);
}
