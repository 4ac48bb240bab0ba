import { keptSchema } from '#core/contract';
import { headingOf } from '../text/heading.ts';
import { readLine } from '../text/line.ts';
import { readMeasure } from '../text/measure.ts';
import { minutesOf } from './duration.ts';
import { fitted, most, type FileRecipe } from './file.ts';
import {
  clutter,
  imperative,
  longest,
  looksLikeTitle,
  measured,
  numbered,
  partOf,
  tidyLines,
  timeLine,
  unmarked,
  yieldLine,
  type Part,
} from './looks.ts';

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
