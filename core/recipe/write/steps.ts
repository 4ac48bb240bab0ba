import type { Line, Step, StepFix, WorkKind, WrittenStep } from '#core/contract';
import { gramsOf, type IngredientFinder } from '#core/kitchen';
import { workFacts, understand, withoutCircles, type Cut, type Understood, type UnderstoodStep } from '../method/index.ts';

const most = { stepChars: 1200, waitMin: 100_000, handsMin: 600 };

/** What steps are read with. */
export interface StepsContext {
  finder?: IngredientFinder;
}

/** Steps of a method, with how they were read: for findings and questions. */
export interface ReadSteps {
  steps: Step[];
  understood: Understood | undefined;
}

const oneSpace = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** A step's words without the joint that led to the next, as a sentence of its own. @example tidied('grate one quince and ') // 'Grate one quince' */
export function tidied(text: string): string {
  const plain = oneSpace(text)
    .replace(/^(?:(?:step\s*)?\d{1,2}[.):]\s*|[-–—•*▢☐●◦]\s*|(?:and|then|und|dann|et|puis|y|luego|e|poi)\s+)+/iu, '')
    .replace(/(?:(?:^|[\s,;:–(-]+)(?:and|then|und|dann|et|puis|y|luego|e|poi|or))?[\s,;:–(-]*$/iu, '')
    .trim();
  const told = plain || oneSpace(text);
  return `${told.slice(0, 1).toUpperCase()}${told.slice(1)}`.slice(0, most.stepChars);
}

const needKinds: Partial<Record<ReturnType<typeof placeOf>, Step['needs'][number]['kind']>> = {
  hob: 'hob',
  oven: 'oven',
  machine: 'blender',
  steamer: 'steamer',
};
function placeOf(kind: WorkKind): (typeof workFacts)[WorkKind]['place'] {
  return workFacts[kind].place;
}

const inProcessor = /\b(?:food processor|processor|küchenmaschine|robot(?: de cuisina)?|procesador)\b/iu;
/** What says a pan and no pot. */
const inPan =
  /\b(?:frying[- ]pan|skillet|griddle|wok|sauté pan|(?:hot|dry|heavy|wide|non-?stick) pan|bratpfanne|pfanne|poêle|sartén|padella)\b/iu;

function needsOf(s: UnderstoodStep): Step['needs'] {
  const place = placeOf(s.kind);
  // a stick goes into the pot; grilling and slow cooking have a place of their own
  if (s.kind === 'slow') return [];
  const kind = place === 'machine' && inProcessor.test(s.plain) ? 'processor' : needKinds[place];
  if (kind === undefined) return [];
  if (kind === 'hob' && inPan.test(s.plain)) return [{ kind }, { kind: 'pan' }];
  return [{ kind, ...(kind === 'oven' && s.heatC !== undefined && { tempC: s.heatC }) }];
}

const raw = { poultry: /chicken|turkey|duck|goose/i, meat: /beef|pork|lamb|veal|rabbit|venison|mince|sausage|goat/i };

/** What may hurt: hot blending, raw meat on the board, dried beans, garlic in oil, rice, hot fat. */
function hazardsOf(s: UnderstoodStep, hot: boolean, rowOf: (l: Line) => string): Step['hazards'] {
  const foods = s.uses.map((u) => `${u.line.name} ${rowOf(u.line)}`).join(' ');
  const hazards = new Set<Step['hazards'][number]>();
  if (s.kind === 'blend' && hot) hazards.add('hotBlending');
  if (raw.poultry.test(foods) && !/cooked|stock|broth/i.test(foods)) hazards.add('rawPoultry');
  else if (raw.meat.test(foods) && !/cooked|stock|broth/i.test(foods)) hazards.add('rawMeat');
  if (/kidney|dried beans?|bean_dry|butter_bean_dry|cannellini_dry/i.test(foods) || /\b(?:kidney beans?|dried beans?)\b/i.test(s.plain))
    hazards.add('beans');
  if (/garlic/i.test(foods) && /\boil/i.test(foods) && s.kind === 'rest') hazards.add('garlicOil');
  if (/\brice(?:_|\b)/i.test(foods) && (s.kind === 'simmer' || s.kind === 'boil')) hazards.add('rice');
  if (s.kind === 'fry' && /\bdeep[- ]?fry|frittieren/i.test(s.plain)) hazards.add('hotFat');
  return [...hazards];
}

const lidOf = (text: string): Step['lid'] =>
  /\blid ajar|half[- ]covered|partly covered/i.test(text)
    ? 'ajar'
    : /\b(?:lid on|with (?:a|the) lid|covered|cover)\b|zugedeckt|à couvert|tapad[oa]|coperchio/i.test(text)
      ? 'on'
      : /\b(?:lid off|uncovered|without a lid)\b/i.test(text)
        ? 'off'
        : undefined;

/** A step as it was read, before anything that was said of it. */
function fresh(
  s: UnderstoodStep,
  id: string,
  textId: string,
  idOf: (n: number) => string,
  read: Understood,
  finder: IngredientFinder | undefined,
): Step {
  const { minutes } = s;
  const facts = workFacts[s.kind];
  const hot = s.takes.some((n) => ['hob', 'oven', 'steamer'].includes(placeOf(read.steps[n]!.kind)));
  const guessed: NonNullable<Step['guessed']> = [
    ...(minutes.said.hands ? [] : (['hands'] as const)),
    ...(minutes.said.wait || minutes.wait === 0 ? [] : (['wait'] as const)),
    ...(s.uses.some((u) => u.open) ? (['uses'] as const) : []),
  ];
  const lid = lidOf(s.plain);
  const rowOf = (l: Line): string => (l.item.type === 'ingredient' ? (finder?.byId(l.item.id)?.id ?? '') : '');
  const handsGrow = facts.wait && !minutes.said.hands ? 0 : facts.growing;
  return {
    id,
    text: tidied(s.text) || 'Go on',
    uses: s.uses.map((u) => ({ lineId: u.line.id, share: Number(u.share.toFixed(4)) })),
    needs: needsOf(s),
    handsOnMin: Math.min(most.handsMin, Math.max(1, Math.round(minutes.hands))),
    handsOnPerKgMin: 0,
    waitMin: Math.min(most.waitMin, minutes.wait),
    ...(lid && { lid }),
    ...(s.cue && { cue: s.cue }),
    hazards: hazardsOf(s, hot, rowOf),
    after: s.after.map(idOf),
    takes: s.takes.map(idOf),
    guess: guessed.length > 0,
    textId,
    span: [s.at, s.end],
    kind: s.kind,
    ...(s.moment !== 'batch' && { moment: s.moment }),
    ...(minutes.waitTo !== undefined && { waitToMin: minutes.waitTo }),
    ...(handsGrow > 0 && { handsGrow }),
    ...(guessed.length > 0 && { guessed }),
  };
}

const words = (text: string): Set<string> => new Set(text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []);

/** How alike two texts are, from 0 to 1: shared words of all words. */
function likeness(a: string, b: string): number {
  if (oneSpace(a) === oneSpace(b)) return 1;
  const [x, y] = [words(a), words(b)];
  const shared = [...x].filter((w) => y.has(w)).length;
  return shared / Math.max(1, x.size + y.size - shared);
}
/** So alike they are still the same step, told a little otherwise. */
const alike = 0.6;

/** What was kept of a paragraph's steps. */
const keptOf = (w: WrittenStep): { text: string; steps: Step[] } | undefined =>
  w.kept ?? (w.step ? { text: w.step.text, steps: [w.step] } : undefined);

/** The words of a kept step, as they stood in its paragraph. */
const rawOf = (step: Step, text: string): string => (step.span ? text.slice(step.span[0], step.span[1]) : text);

/** What was said of a step, over how it was read. */
function withFix(step: Step, fix: StepFix | undefined, lines: ReadonlySet<string>, ids: ReadonlySet<string>): Step {
  if (!fix) return step;
  const { moment, after, takes, ...set } = fix.set;
  const said = new Set(step.said ?? []);
  if (set.handsOnMin !== undefined) said.add('hands');
  if (set.waitMin !== undefined) said.add('wait');
  if (set.needs) said.add('needs');
  if (set.cue !== undefined) said.add('cue');
  if (set.kind) said.add('kind');
  if (set.lid) said.add('lid');
  if (moment) said.add('moment');
  if (after) said.add('after');
  if (fix.uses) said.add('uses');
  const uses = fix.uses
    ? [
        ...step.uses.filter((u) => fix.uses![u.lineId] === undefined),
        ...Object.entries(fix.uses).flatMap(([lineId, share]) => (share > 0 && lines.has(lineId) ? [{ lineId, share }] : [])),
      ]
    : step.uses;
  const { moment: _m, guessed: _g, waitToMin, ...rest } = step;
  const guessed = (step.guessed ?? []).filter(
    (g) => !(said.has('hands') && g === 'hands') && !(said.has('wait') && g === 'wait') && !(said.has('uses') && g === 'uses'),
  );
  const shown = moment === 'batch' ? undefined : (moment ?? step.moment);
  const there = (list: readonly string[]): string[] => list.filter((id) => ids.has(id) && id !== step.id);
  return {
    ...rest,
    ...(waitToMin !== undefined && set.waitMin === undefined && { waitToMin }),
    ...set,
    uses,
    ...(after && { after: there(after), takes: there(takes ?? after) }),
    ...(shown && { moment: shown }),
    ...(guessed.length > 0 && { guessed }),
    guess: guessed.length > 0,
    ...(said.size > 0 && { said: [...said] }),
  };
}

/** Grams of a line as written, where they are known. */
const massIn =
  (finder: IngredientFinder | undefined) =>
  (line: Line): number | undefined => {
    const row = line.item.type === 'ingredient' ? finder?.byId(line.item.id) : undefined;
    if (!row || line.amount === undefined || line.unit === undefined) return undefined;
    const g = gramsOf({ amount: line.amount, unit: line.unit }, row, line.form);
    return g.ok ? g.massG : undefined;
  };

/** Whether the kept steps of a paragraph are all of it, as it was. */
const whole = (w: WrittenStep): boolean => {
  const kept = keptOf(w);
  return kept !== undefined && kept.text === w.text && !w.cuts?.length;
};

/**
 * Steps of a method as written: what was kept holds while its words stay, what was said of a step stands before any reading, all else is read.
 * A line that no kept step takes goes where it is read to go.
 * Law: a method kept and opened again has the steps it had; no line is taken more than once over by what is read.
 * @example stepsOf([{ id: 's1', text: 'Simmer for 20 min.' }], lines).steps[0]?.waitMin // 20
 */
export function stepsOf(given: readonly WrittenStep[], lines: readonly Line[], { finder }: StepsContext = {}): ReadSteps {
  const written = given.filter((w) => w.text.trim() !== '');
  const lineIds = new Set(lines.map((l) => l.id));
  const keptSteps = written.flatMap((w) => keptOf(w)?.steps ?? []);
  const taken = new Set(keptSteps.flatMap((s) => s.uses.map((u) => u.lineId)).filter((id) => lineIds.has(id)));
  const allWhole = written.every(whole);
  if (allWhole && written.every((w) => !w.fixes?.length) && lines.every((l) => taken.has(l.id) || l.moment !== 'batch')) {
    const ids = new Set(keptSteps.map((s) => s.id));
    return { steps: keptSteps.map((s) => linked(s, ids, lineIds)), understood: undefined };
  }
  const paragraphs = written.map((w) => w.text);
  // what was kept begins where it began, and what stands behind it begins anew
  const cuts = written.map((w) => {
    const kept = keptOf(w);
    const said = (w.cuts ?? []).flatMap((c): Cut[] => {
      const at = w.text.indexOf(c.text);
      return at < 0 ? [] : [{ at, begins: true, ...(c.whole && { until: at + c.text.length }) }];
    });
    const spans = (kept?.steps ?? []).flatMap((s): Cut[] => {
      const raw = rawOf(s, kept!.text);
      const at = raw.trim() === '' ? -1 : w.text.indexOf(raw.trim());
      return at < 0
        ? []
        : [
            { at, begins: true, until: at + raw.trim().length },
            ...(at + raw.trim().length < w.text.trimEnd().length ? [{ at: at + raw.trim().length, begins: true }] : []),
          ];
    });
    return [...spans.filter((s) => !said.some((c) => c.at === s.at)), ...said];
  });
  const understood = understand(paragraphs, lines, { ...(finder && { finder }), massG: massIn(finder), cuts });
  const used = new Set<string>();
  const freeId = (w: WrittenStep, n: number): string => {
    let id = n === 0 ? w.id : `${w.id}.${n + 1}`;
    for (let k = n + 2; used.has(id); k += 1) id = `${w.id}.${k}`;
    return id;
  };
  // who is who: a kept step or a correction whose words are still there gives its id
  const keptLeft = new Map(written.map((w) => [w.id, [...(keptOf(w)?.steps ?? [])]]));
  const matched = understood.steps.map((s) => {
    const w = written[s.paragraph]!;
    const kept = keptOf(w);
    const left = keptLeft.get(w.id)!;
    const at = left.findIndex((k) => oneSpace(rawOf(k, kept!.text)) === oneSpace(s.text));
    const old = at < 0 ? undefined : left.splice(at, 1)[0];
    const fix = [...(w.fixes ?? [])]
      .map((f) => ({ f, like: likeness(f.text, s.text) }))
      .filter((x) => x.like >= alike)
      .sort((a, b) => b.like - a.like)[0]?.f;
    return { s, w, old, fix };
  });
  const claimed = new Set<StepFix>();
  for (const m of matched) {
    if (m.fix && claimed.has(m.fix)) m.fix = undefined;
    if (m.fix) claimed.add(m.fix);
  }
  const ids = matched.map(({ old, fix }) => {
    const id = old?.id ?? fix?.id;
    if (id !== undefined && !used.has(id)) used.add(id);
    return id;
  });
  const nth = new Map<string, number>();
  const named = ids.map((id, i) => {
    const { w } = matched[i]!;
    const n = nth.get(w.id) ?? 0;
    nth.set(w.id, n + 1);
    if (id !== undefined && ids.indexOf(id) === i) return id;
    const own = freeId(w, n);
    used.add(own);
    return own;
  });
  const known = new Set(named);
  const steps = matched.map(({ s, w, old, fix }, i): Step => {
    const id = named[i]!;
    const read = fresh(s, id, w.id, (n) => named[n]!, understood, finder);
    const base: Step = old
      ? {
          ...linked({ ...old, id }, known, lineIds),
          ...(keptOf(w)!.text !== w.text &&
            (old.span || understood.steps.filter((x) => x.paragraph === s.paragraph).length > 1) && {
              textId: w.id,
              span: [s.at, s.end] as [number, number],
            }),
          uses: [...old.uses.filter((u) => lineIds.has(u.lineId)), ...read.uses.filter((u) => !taken.has(u.lineId))],
          // what it waited for has gone: it comes after what it is read to come after
          ...(old.after.length > 0 && !old.after.some((k) => known.has(k)) && { after: read.after, takes: read.takes }),
        }
      : { ...read, uses: read.uses.filter((u) => !taken.has(u.lineId)) };
    return withFix(base, fix, lineIds, known);
  });
  return { steps: inOrder(fair(steps)), understood };
}

/** A step whose references are all there. */
function linked(step: Step, ids: ReadonlySet<string>, lines: ReadonlySet<string>): Step {
  const uses = step.uses.every((u) => lines.has(u.lineId)) ? step.uses : step.uses.filter((u) => lines.has(u.lineId));
  const after = step.after.every((id) => ids.has(id)) ? step.after : step.after.filter((id) => ids.has(id));
  if (uses === step.uses && after === step.after) return step;
  return { ...step, uses, after, ...(step.takes && { takes: step.takes.filter((id) => ids.has(id)) }) };
}

/** Shares of a line that was put somewhere by hand never sum to more than one: what was only read gives way. */
function fair(steps: readonly Step[]): Step[] {
  const total = new Map<string, number>();
  const said = new Map<string, number>();
  for (const s of steps)
    for (const u of s.uses) {
      total.set(u.lineId, (total.get(u.lineId) ?? 0) + u.share);
      if (s.said?.includes('uses')) said.set(u.lineId, (said.get(u.lineId) ?? 0) + u.share);
    }
  const given = steps.map((s) => {
    if (!s.uses.some((u) => (total.get(u.lineId) ?? 0) > 1 + 1e-6 && said.has(u.lineId)) || s.said?.includes('uses')) return s;
    const uses = s.uses.flatMap((u) => {
      const [sum, own] = [total.get(u.lineId) ?? 0, said.get(u.lineId) ?? 0];
      if (sum <= 1 + 1e-6 || own === 0) return [u];
      const left = Math.max(0, 1 - own);
      const share = (u.share * left) / Math.max(1e-9, sum - own);
      return share > 1e-3 ? [{ ...u, share }] : [];
    });
    return { ...s, uses };
  });
  // both were said, or one of them of another line: each gives way in its part
  const sums = new Map<string, number>();
  for (const s of given) for (const u of s.uses) sums.set(u.lineId, (sums.get(u.lineId) ?? 0) + u.share);
  const over = (u: Step['uses'][number]): number => Math.max(1, sums.get(u.lineId) ?? 1);
  return given.map((s) =>
    s.said?.includes('uses') && s.uses.some((u) => over(u) > 1 + 1e-6)
      ? { ...s, uses: s.uses.map((u) => ({ ...u, share: u.share / over(u) })) }
      : s,
  );
}

/** An order without a circle, whatever was said of it. */
function inOrder(steps: readonly Step[]): Step[] {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  const { after } = withoutCircles(steps.map((s) => s.after.flatMap((id) => at.get(id) ?? [])));
  return steps.map((s, i) => {
    const keep = s.after.filter((id) => after[i]!.includes(at.get(id) ?? -1));
    return keep.length === s.after.length ? s : { ...s, after: keep, ...(s.takes && { takes: s.takes.filter((id) => keep.includes(id)) }) };
  });
}
