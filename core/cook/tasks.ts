import type { Line, Prep, Step } from '#core/contract';
import { densityFor, listOf, sayMassIn, toNumber, type IngredientFinder, type UnitSystem } from '#core/kitchen';
import type { Dish } from '#core/plan';
import { handsAt, inSession, nextMinutes } from '#core/recipe';
import { aheadOf, type Ahead } from './data/aheadRules.ts';
import { inDips, type Dipped } from './dips.ts';
import { coveredBy } from './ends.ts';
import { asRecipesAllow, limitsOf, rawFrom, rawLimit, type Limit } from './limits.ts';
import { prepGroup, prepRates } from './data/prepRates.ts';

/** Work about the cooking that has no step in a recipe: it is planned with the rest. */
export type Follow = 'takeOut' | 'cool' | 'pack' | 'wash';

/** One piece of work: hands first, then what minds itself. */
export interface Task {
  id: string;
  batchIds: string[];
  title: string;
  detail: string;
  handsOnMin: number;
  waitMin: number;
  after: string[];
  /** Machines it takes, each kind once; several pots stand on as many burners. */
  needs: { kind: Step['needs'][number]['kind']; tempC?: number; count?: number }[];
  /** The longest waits: into the ice within a minute, raw fish on the worktop half an hour. */
  windows?: Limit[];
  /** Pots it is cooked in, and what each must hold to the brim where that is known. */
  vessel?: { count: number; brimMl: number };
  /** It is no step of a recipe: taking out, cooling, packing, washing up. */
  follow?: Follow;
  /** It is done on a board. */
  board?: boolean;
  /** What is prepared, for all dishes at once; absent for a written step. */
  prep?: Prep;
  /** How much of it each dish is dealt. */
  shares?: PrepShare[];
  /** About how many pieces that is, as bought. */
  pieces?: number;
  /** Minutes that cutting it once saves, as it was set up only once. */
  savesMin?: number;
  /** In the bowl of a machine it would go in so many loads of one size. */
  bowl?: { name: string; loads: number; eachG: number };
  /** Whether it may be cut the evening before. */
  ahead?: Ahead;
  /** Allergens it holds that somebody at the table must not meet. */
  holds?: string[];
  /** The step of a recipe that it is; absent for preparation. */
  step?: { batchId: string; stepId: string };
  cue?: string;
  hazards: Step['hazards'];
  /** Clean before dirty: a lower class comes first on the board (reference 1.12). */
  cleanliness: number;
  guess: boolean;
  cookId?: string;
  /** The same work in another session has the same key. */
  timeKey: string;
  /** The last run of this work, whose factor these minutes follow. */
  last?: LastTime;
}

/** What a dish is dealt of something that is prepared for several. */
export interface PrepShare {
  batchId: string;
  recipe: string;
  massG: number;
}

/** How long a piece of work took, against what was planned for that size. */
export interface LastTime {
  planned: number;
  actual: number;
  day: string;
}
export type LastTimes = Map<string, LastTime>;

/** A task after its last run: the factor of that run on both hands and waiting; what was guessed is known now. */
function asLastTime(task: Task, times: ReadonlyMap<string, LastTime> | undefined): Task {
  const last = times?.get(task.timeKey);
  if (!last) return task;
  const total = nextMinutes(task.handsOnMin + task.waitMin, last);
  const waitMin = nextMinutes(task.waitMin, last);
  return { ...task, handsOnMin: Math.max(1, total - waitMin), waitMin, guess: false, last };
}

/** Allergens that stick: what holds them comes after what does not (reference 1.12). */
const sticky = /nut|sesame|mustard|lupin/;

/** Cleanliness on the board: baby batches, vegetables, what holds nuts or sesame, then raw fish, red meat, poultry last. */
function cleanliness(ingredientId: string, aisle: string | undefined, baby: boolean, contains: readonly string[] = []): number {
  if (baby) return 0;
  if (contains.some((a) => sticky.test(a))) return 4;
  if (aisle === 'fish') return 5;
  if (aisle === 'meat') return /chicken|turkey/.test(ingredientId) ? 7 : 6;
  return aisle === 'dry_goods' || aisle === 'bread' ? 1 : 3;
}

const notPrepared = new Set(['whole', 'drained', 'cooked', 'rinsed', 'pureed']);
/** How preparing to a form is said; read the other way round once it is done. */
const verbs: Readonly<Record<string, string>> = {
  diced: 'Dice',
  sliced: 'Slice',
  grated: 'Grate',
  chopped: 'Chop',
  minced: 'Mince',
  cubed: 'Cube',
  peeled: 'Peel',
  halved: 'Halve',
  torn: 'Tear',
};

/** What stands on the hob is in a pot, unless it says a pan or a steamer. */
const inPot = (step: Step): boolean =>
  step.needs.some((n) => n.kind === 'pot') ||
  (step.needs.some((n) => n.kind === 'hob') && !step.needs.some((n) => n.kind === 'pan' || n.kind === 'steamer'));

/** What a batch may take more than one of at the same time. */
const severalAtOnce: ReadonlySet<string> = new Set(['hob', 'pot', 'steamer']);

interface TaskOptions {
  /** Allergens that somebody at the table must not meet. */
  avoid?: ReadonlySet<string>;
  /** The bowl that chops, and what may be in it at once. */
  bowl?: { name: string; usableMl: number };
  /** Hands-on work takes so many times as long. */
  interruptions?: number;
  /** The last run of each piece of work. */
  times?: ReadonlyMap<string, LastTime>;
  units?: UnitSystem;
}

/** What a processor cuts; it cubes and halves nothing. */
const bowled: ReadonlySet<string> = new Set(['diced', 'chopped', 'minced', 'grated', 'sliced']);

/**
 * The same work by hands that are called away between: only what minds itself takes as long as ever.
 * @param factor times as long, 1 when nobody calls
 * @example interrupted(chopping, 1.6).handsOnMin // 95 min come to 152
 */
export const interrupted = (task: Task, factor: number): Task =>
  factor > 1 ? { ...task, handsOnMin: Math.ceil(task.handsOnMin * factor - 1e-9) } : task;

/** What is prepared, how and how much: `1.2 kg onions, 10 mm`. */
const prepared = (prep: Prep, units: UnitSystem): string =>
  `${sayMassIn(units, Math.round(prep.massG))} ${prep.name}${prep.sizeMm ? `, ${prep.sizeMm} mm` : ''}`;

/**
 * A task as it is kept in History: a step as it is written, preparation with its amount.
 * @example sayTask(dicing) // 'Dice 1.2 kg onion, 10 mm'
 */
export const sayTask = (task: Pick<Task, 'title' | 'prep'>, units: UnitSystem = 'metric'): string =>
  (task.prep ? `${verbs[task.prep.form] ?? 'Prepare'} ${prepared(task.prep, units)}` : task.title).slice(0, 200);

/**
 * What was done.
 * @param what the task in words, as it was kept
 * @example doneTask('Dice 1.2 kg onion', { form: 'diced', ingredientId: 'onion', name: 'onion', massG: 1200 }) // 'Diced 1.2 kg onion'
 */
export const doneTask = (what: string, prep?: Prep, units: UnitSystem = 'metric'): string =>
  prep && verbs[prep.form]
    ? `${prep.form.slice(0, 1).toUpperCase()}${prep.form.slice(1)} ${prepared(prep, units)}`
    : `Done: ${what.slice(0, 1).toLowerCase()}${what.slice(1)}`;

/** Orders of cutting, with the form each brings a food into; what only cleans it says nothing. */
const cutForms: readonly (readonly [RegExp, NonNullable<Line['form']>])[] = [
  [/\b(?:dice|würfeln|en dés)\b/iu, 'diced'],
  [/\b(?:cube|chunk)s?\b/iu, 'cubed'],
  [/\b(?:slice|shred|schneiden|émincer|laminar|affettare)\b/iu, 'sliced'],
  [/\b(?:grate|reiben|raspeln|râper|rallar|grattugiare)\b/iu, 'grated'],
  [/\b(?:mince|crush)\b/iu, 'minced'],
  [/\b(?:chop|hacken|hacher|picar|tritare)\b/iu, 'chopped'],
  [/\b(?:halve|halbieren)\b/iu, 'halved'],
];

/** A written step that does nothing but cut lines into one form is preparation: shared with every other dish that wants the same. */
function cutOnly(step: Step, lines: readonly Line[]): NonNullable<Line['form']> | undefined {
  if (step.kind !== 'cut' || !step.guessed?.includes('hands') || (step.takes ?? step.after).length > 0 || step.moment || step.waitMin > 0)
    return undefined;
  const forms = new Set(cutForms.flatMap(([words, form]) => (words.test(step.text) ? [form] : [])));
  const used = step.uses.map((u) => lines.find((l) => l.id === u.lineId));
  const plain = used.length > 0 && used.every((l) => l !== undefined && !l.form && l.item.type === 'ingredient');
  const [form] = forms;
  return forms.size === 1 && plain && step.uses.every((u) => u.share > 0.99) ? form : undefined;
}

interface Preparing {
  prep: Prep;
  task: Task;
  shares: PrepShare[];
}

/**
 * The work of a session: preparation from the lines' forms, one job for the same ingredient, form and size over all batches and then dealt out; and the written steps.
 * Steps wait for the preparation of what they use. Minutes are set-up + per kilo, or the last run's.
 * @example tasksFor([stew, soup], finder) // onions for both are diced once, then dealt out
 */
export function tasksFor(
  dishes: readonly Dish[],
  finder: IngredientFinder,
  { times, units = 'metric', avoid = new Set(), bowl, interruptions = 1 }: TaskOptions = {},
): Task[] {
  const preps = new Map<string, Preparing>();
  const prepOfLine = new Map<string, string>();
  /** Steps that are preparation, with the jobs that take their place. */
  const asPrep = new Map<string, string[]>();
  for (const { batch, revision, scaled } of dishes) {
    const cutInto = new Map<string, { form: NonNullable<Line['form']>; stepId: string }>();
    for (const step of inSession(revision.steps)) {
      const form = cutOnly(step, revision.lines);
      const weighed = step.uses.every((u) => scaled.lines.find((l) => l.lineId === u.lineId)?.massG !== undefined);
      if (form === undefined || !weighed) continue;
      asPrep.set(`step:${batch.id}:${step.id}`, []);
      for (const u of step.uses) cutInto.set(u.lineId, { form, stepId: step.id });
    }
    for (const { line: written, massG } of scaled.lines) {
      const cut = cutInto.get(written.id);
      const line = cut ? { ...written, form: cut.form } : written;
      if (line.moment !== 'batch' || !line.form || notPrepared.has(line.form) || line.item.type !== 'ingredient' || massG === undefined)
        continue;
      const row = finder.byId(line.item.id);
      // what is bought chopped is not chopped again
      if (row?.aisle === 'tins_jars' || row?.aisle === 'frozen') continue;
      const id = `prep:${line.item.id}:${line.form}:${line.sizeMm ?? 0}`;
      prepOfLine.set(`${batch.id}/${line.id}`, id);
      if (cut) asPrep.get(`step:${batch.id}:${cut.stepId}`)?.push(id);
      const prep = preps.get(id);
      if (prep) {
        if (!prep.task.batchIds.includes(batch.id)) prep.task.batchIds.push(batch.id);
        prep.shares.push({ batchId: batch.id, recipe: revision.name, massG });
        prep.prep.massG += massG;
      } else {
        const name = row?.name ?? line.name;
        const size = line.sizeMm ? `, ${line.sizeMm} mm` : '';
        preps.set(id, {
          task: {
            id,
            batchIds: [batch.id],
            title: `${verbs[line.form] ?? 'Prepare'} ${name}${size}`,
            detail: '',
            handsOnMin: 0,
            waitMin: 0,
            after: [],
            needs: [],
            hazards: [],
            cleanliness: cleanliness(line.item.id, row?.aisle, revision.kind === 'puree', row?.contains),
            board: true,
            guess: true,
            timeKey: id,
          },
          prep: { ingredientId: line.item.id, form: line.form, name, massG, ...(line.sizeMm !== undefined && { sizeMm: line.sizeMm }) },
          shares: [{ batchId: batch.id, recipe: revision.name, massG }],
        });
      }
    }
  }
  for (const { prep, task, shares } of preps.values()) {
    const rate = prepRates.find((r) => r.form === prep.form && r.group === prepGroup(prep.ingredientId)) ?? { setupMin: 2, perKgMin: 10 };
    const amount = sayMassIn(units, Math.round(prep.massG));
    task.handsOnMin = Math.max(1, Math.round(rate.setupMin + (rate.perKgMin * prep.massG) / 1000));
    task.prep = prep;
    task.shares = shares;
    const row = finder.byId(prep.ingredientId);
    const usable = (row?.pieceG ?? 0) * ((row?.ediblePct ?? 100) / 100);
    if (usable > 0 && prep.massG >= usable / 2) task.pieces = Math.max(1, Math.round(prep.massG / usable));
    const density = row && densityFor(row, prep.form);
    if (bowl && density && bowled.has(prep.form) && task.cleanliness < rawFrom) {
      const loads = Math.max(1, Math.ceil(prep.massG / density.gPerMl / bowl.usableMl - 1e-9));
      task.bowl = { name: bowl.name, loads, eachG: Math.round(prep.massG / loads) };
    }
    task.ahead = aheadOf(prep.ingredientId);
    const holds = (row?.contains ?? []).filter((code) => avoid.has(code));
    if (holds.length > 0) task.holds = holds;
    if (shares.length > 1) task.savesMin = Math.round(rate.setupMin * (shares.length - 1));
    task.detail =
      shares.length === 1
        ? `${amount} for ${shares[0]?.recipe ?? ''}`
        : `${amount}, then deal out: ${listOf(shares.map((s) => `${sayMassIn(units, Math.round(s.massG))} ${s.recipe}`))}`;
  }

  const rawPrep = (id: string): boolean => {
    const prep = preps.get(id)?.task;
    return prep !== undefined && prep.cleanliness >= rawFrom && prep.batchIds.length === 1;
  };
  const steps = dishes.flatMap(({ batch, revision, scaled, outs }) => {
    const covered = coveredBy(revision);
    const limits = limitsOf(revision, finder);
    const ofBatch = inSession(revision.steps)
      .filter((step) => !covered.has(step.id) && (asPrep.get(`step:${batch.id}:${step.id}`)?.length ?? 0) === 0)
      .map((step): Dipped<Task> => {
        const f = toNumber(scaled.factor);
        const dips = scaled.passage?.loads.find((l) => l.use === 'dip' && l.stepId === step.id);
        const kg = step.uses.reduce(
          (sum, use) => sum + ((scaled.lines.find((l) => l.lineId === use.lineId)?.massG ?? 0) / 1000) * use.share,
          0,
        );
        const waitsFor = step.uses.map((use) => prepOfLine.get(`${batch.id}/${use.lineId}`)).filter((id): id is string => id !== undefined);
        const uses = step.uses.map((use) => scaled.lines.find((l) => l.lineId === use.lineId)).filter((l) => l !== undefined);
        const brimMl = Math.min(
          ...(scaled.passage?.loads ?? [])
            .filter((l) => l.use === 'pot' && l.stepId === step.id)
            .flatMap((l) => l.vessels.map((v) => v.brimMl)),
        );
        const windows = [
          ...[...new Set(waitsFor)].filter(rawPrep).map((after) => rawLimit(after)),
          ...limits(step).map((w) => ({ ...w, after: `step:${batch.id}:${w.after}` })),
        ];
        const task: Task = {
          id: `step:${batch.id}:${step.id}`,
          step: { batchId: batch.id, stepId: step.id },
          batchIds: [batch.id],
          title: step.moment === 'eve' ? `The evening before: ${step.text}` : step.text,
          detail: uses.length > 0 ? listOf(uses.map((l) => `${outs?.get(l.lineId) ?? l.out} ${l.line.name}`.trim())) : '',
          handsOnMin: Math.max(1, Math.round(handsAt(step, f) + step.handsOnPerKgMin * kg + (scaled.passage?.hands[step.id] ?? 0))),
          // a bigger pot takes longer to boil, and what does not fit goes in turn; what waits overnight has waited
          waitMin: step.moment === 'eve' ? 0 : Math.max(0, Math.round(step.waitMin + (scaled.passage?.waits[step.id] ?? 0))),
          after: [
            ...new Set([
              ...step.after.flatMap((s) => {
                const id = `step:${batch.id}:${s}`;
                const jobs = asPrep.get(id);
                return jobs?.length ? jobs : [id];
              }),
              ...waitsFor,
            ]),
          ],
          needs: [...new Map(step.needs.map((n) => [n.kind, n])).values()].map((n) => ({
            kind: n.kind,
            ...(n.tempC !== undefined && { tempC: n.tempC }),
            ...(severalAtOnce.has(n.kind) && { count: scaled.passage?.atOnce[step.id] ?? 1 }),
          })),
          ...(windows.length > 0 && { windows }),
          ...(inPot(step) && {
            vessel: { count: scaled.passage?.atOnce[step.id] ?? 1, brimMl: Number.isFinite(brimMl) ? Math.round(brimMl) : 0 },
          }),
          ...(step.kind === 'cut' && { board: true }),
          ...(step.cue && { cue: step.cue }),
          hazards: step.hazards,
          cleanliness: revision.kind === 'puree' ? 0 : 3,
          guess: step.guess,
          timeKey: `step:${revision.recipeId}:${step.id}`,
        };
        return { task, ...(dips && { dips }) };
      });
    return inDips(ofBatch, units);
  });
  return asRecipesAllow(
    [...[...preps.values()].map((p) => p.task), ...steps].map((task) => interrupted(asLastTime(task, times), interruptions)),
  );
}
