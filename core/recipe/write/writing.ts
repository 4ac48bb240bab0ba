import type { Fix, Line, Recipe, Revision, Step, Writing, WrittenLine, WrittenStep } from '#core/contract';
import type { FileRecipe } from '../read/file.ts';
import { sayMakes, sayServing } from './compose.ts';
import { composeLines, foodId, type ComposedFood, type ReadingContext } from './lines.ts';

/** An empty page to write a recipe on. */
export const emptyWriting: Writing = {
  name: '',
  makes: '',
  serving: '',
  lines: [],
  steps: [],
  tags: '',
  source: '',
  note: '',
  ownReheat: '',
  ownThaw: '',
};

const measured: readonly Fix['unset'][number][] = ['amount', 'amountTo', 'unit', 'form', 'formText', 'sizeMm', 'note', 'alternatives'];
const compared = [...measured, 'item', 'name', 'moment', 'scaling', 'allergens'] as const;

/** What a stored line has otherwise than its text is read: nothing when they agree. */
function fixFor(stored: Line, read: Line, readName: string): Fix | undefined {
  const set: Record<string, unknown> = {};
  const unset: Fix['unset'] = [];
  for (const key of compared) {
    if (JSON.stringify(stored[key]) === JSON.stringify(read[key])) continue;
    if (stored[key] !== undefined) set[key] = stored[key];
    else if ((measured as readonly string[]).includes(key)) unset.push(key as Fix['unset'][number]);
  }
  return Object.keys(set).length > 0 || unset.length > 0 ? { text: stored.written, name: readName.slice(0, 200), set, unset } : undefined;
}

const fixOfStored = (line: Line, text: string, food: ComposedFood | undefined, id: string): [string, Fix][] => {
  const fix = food && fixFor({ ...line, written: text }, food.line, food.read.name);
  return fix ? [[id, fix]] : [];
};

/** The lines from one on that came of one written text. */
function sameText(lines: readonly Line[], from: number): Line[] {
  const { textId } = lines[from]!;
  const end = textId === undefined ? from + 1 : lines.findIndex((l, i) => i > from && l.textId !== textId);
  return lines.slice(from, end < 0 ? undefined : end);
}

/** A stored line has no text of its own when it was made by hand: it is written out. */
const textOf = (line: Line): string =>
  line.written.trim() || [line.amount, line.unit === 'piece' ? '' : line.unit, line.name].filter(Boolean).join(' ');

/**
 * A kept recipe, to be written on: its texts, and as corrections whatever it has otherwise than they are read.
 * @param beside what stands with the recipe and not in its revisions
 * Law: composing it gives the lines back as they were.
 * @example compose(writingOf(revision, ctx), ctx).revision.lines // the revision's own
 */
export function writingOf(revision: Revision, ctx: ReadingContext, beside: Pick<Recipe, 'pictureId' | 'rating'> = {}): Writing {
  const lines: WrittenLine[] = [];
  let section: string | undefined;
  const { lines: stored, steps, method, ...base } = revision;
  for (let i = 0; i < stored.length; i += 1) {
    const first = stored[i]!;
    if (first.section !== section) {
      section = first.section;
      lines.push({ id: `${first.id}.h`, text: section === undefined ? '#' : /\d/.test(section) ? `# ${section}` : `${section}:` });
    }
    const text = textOf(first);
    const group = sameText(stored, i);
    i += group.length - 1;
    const id = first.textId ?? first.id;
    const [row] = composeLines([{ id, text }], ctx);
    const foods = row && 'foods' in row ? row.foods : [];
    if (group.length === foods.length || group.length === 1) {
      const fixes = group.flatMap((line, n) => fixOfStored(line, text, foods[n], foodId(id, n)));
      const one = group.length < foods.length;
      lines.push({ id, text, ...(fixes.length > 0 && { fixes: Object.fromEntries(fixes) }), ...(one && { one }) });
      continue;
    }
    // it was read as fewer once: each of its foods gets a line of its own
    for (const line of group) {
      const own = textOf({ ...line, written: '' });
      const [alone] = composeLines([{ id: line.id, text: own }], ctx);
      const fixes = fixOfStored(line, own, alone && 'foods' in alone ? alone.foods[0] : undefined, line.id);
      lines.push({ id: line.id, text: own, ...(fixes.length > 0 && { fixes: Object.fromEntries(fixes) }) });
    }
  }
  return {
    name: base.name,
    kind: base.kind,
    makes: sayMakes(base),
    serving: sayServing(base.serving),
    lines,
    steps: writtenSteps(steps, method),
    lifeId: base.storage[0]?.rowId,
    tags: base.tags.join(', '),
    source: base.source,
    note: base.note ?? '',
    ownReheat: base.ownReheat ?? '',
    ownThaw: base.ownThaw ?? '',
    base,
    ...(beside.pictureId && { pictureId: beside.pictureId }),
    ...(beside.rating !== undefined && { rating: beside.rating }),
  };
}

/** The method's paragraphs with the steps that were kept of them. */
const writtenSteps = (steps: readonly Step[], method: Revision['method']): WrittenStep[] =>
  method
    ? method.map(({ id, text }) => ({ id, text, kept: { text, steps: steps.filter((s) => s.textId === id) } }))
    : steps.map((s) => ({ id: s.id, text: s.text, step: s }));

/** A line of a file as it was kept with it, when its text is still the same. */
function keptLine(text: string, kept: WrittenLine[], known: ReadonlySet<string>): WrittenLine | undefined {
  const at = kept.findIndex((l) => l.text === text);
  const [line] = at < 0 ? [] : kept.splice(at, 1);
  if (!line?.fixes) return line;
  // a recipe that is not in this household is drawn from no longer: its name is read anew
  const fixes = Object.entries(line.fixes).map(([id, fix]): [string, Fix] => {
    const { item, ...set } = fix.set;
    return [id, item?.type === 'recipe' && !known.has(item.id) ? { ...fix, set } : fix];
  });
  return { ...line, fixes: Object.fromEntries(fixes) };
}

const bare = (text = ''): string => text.replace(/\s+/g, ' ').trim();

/**
 * What a file held, to be looked over: its texts, nothing confirmed yet; what a file of ours keeps beside them holds where they are the same.
 * @param known recipes of this household that lines may draw from
 * @example writingOfFile(read, newId).lines[0]?.text // as the file has it
 */
export function writingOfFile(file: FileRecipe, ids: () => string, known: ReadonlySet<string> = new Set()): Writing {
  const { prepMin, cookMin, totalMin, kept } = file;
  const times = {
    ...(prepMin !== undefined && { prepMin }),
    ...(cookMin !== undefined && { cookMin }),
    ...(totalMin !== undefined && { totalMin }),
  };
  const keptLines = [...(kept?.lines ?? [])];
  const keptSteps = [...(kept?.steps ?? [])];
  const stepOf = (text: string): WrittenStep => {
    const at = keptSteps.findIndex((s) => s.text === text);
    return keptSteps.splice(at, at < 0 ? 0 : 1)[0] ?? { id: ids(), text };
  };
  return {
    ...emptyWriting,
    name: file.name,
    makes: file.yieldText ?? (file.servings === undefined ? '' : String(file.servings)),
    lines: file.lines.map((text) => keptLine(text, keptLines, known) ?? { id: ids(), text }),
    steps: file.steps.map((s) => stepOf(s.section ? `${s.section}: ${s.text}` : s.text)),
    tags: file.tags.join(', '),
    source: file.source ?? (file.author ? `by ${file.author}` : 'from a file'),
    ...kept?.fields,
    // blank lines of a note are not told apart in every format
    note: bare(kept?.fields.note) === bare(file.note) ? (kept?.fields.note ?? '') : (file.note ?? ''),
    ...(Object.keys(times).length > 0 && { base: { ...kept?.fields.base, times } }),
    ...(file.notUnderstood.length > 0 && { around: file.notUnderstood.slice(0, 80) }),
  };
}
