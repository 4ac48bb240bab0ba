import type { Revision, Step } from '#core/contract';
import { listOf, sayMassIn, type IngredientFinder, type UnitSystem } from '#core/kitchen';
import { nextMinutes, type ScaledRecipe } from '#core/recipe';
import { prepGroup, prepRates } from './data/prepRates.ts';

/** A batch ready to be cooked: its recipe at its size. */
export interface CookBatch {
  batchId: string;
  revision: Revision;
  scaled: ScaledRecipe;
  /** What to say of a line instead of its amount: salt after some portions were dipped out. */
  outs?: ReadonlyMap<string, string>;
}

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
  /** How much of what is prepared: `1.2 kg`. */
  amount?: string;
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

/** Cleanliness on the board: baby batches, vegetables, then raw fish, red meat, poultry last. */
function cleanliness(ingredientId: string, aisle: string | undefined, baby: boolean): number {
  if (baby) return 0;
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

/** What a batch may take more than one of at the same time. */
const severalAtOnce: ReadonlySet<string> = new Set(['hob', 'pot', 'steamer']);

interface TaskOptions {
  /** The last run of each piece of work. */
  times?: ReadonlyMap<string, LastTime>;
  units?: UnitSystem;
}

/** A task in words, for History: `Dice 1.2 kg onions`, or a step as it is written. */
export const sayTask = (task: Pick<Task, 'title' | 'amount'>): string =>
  (task.amount ? task.title.replace(' ', ` ${task.amount} `) : task.title).slice(0, 200);

/**
 * What was done, from a task in words.
 * @example doneTask('Dice 1.2 kg onions') // 'Diced 1.2 kg onions'
 */
export function doneTask(words: string): string {
  const [first = '', ...rest] = words.split(' ');
  const form = Object.entries(verbs).find(([, verb]) => verb === first)?.[0];
  return form
    ? `${form.slice(0, 1).toUpperCase()}${form.slice(1)} ${rest.join(' ')}`
    : `Done: ${words.slice(0, 1).toLowerCase()}${words.slice(1)}`;
}

interface Prep {
  ingredientId: string;
  form: string;
  task: Task;
  shares: { recipe: string; massG: number }[];
}

/**
 * The work of a session: preparation from the lines' forms, one job for the same ingredient, form and size over all batches and then dealt out; and the written steps.
 * Steps wait for the preparation of what they use. Minutes are set-up + per kilo, or the last run's.
 */
export function tasksFor(batches: readonly CookBatch[], finder: IngredientFinder, { times, units = 'metric' }: TaskOptions = {}): Task[] {
  const preps = new Map<string, Prep>();
  const prepOfLine = new Map<string, string>();
  for (const { batchId, revision, scaled } of batches) {
    for (const { line, massG } of scaled.lines) {
      if (line.moment !== 'batch' || !line.form || notPrepared.has(line.form) || line.item.type !== 'ingredient' || massG === undefined)
        continue;
      const row = finder.byId(line.item.id);
      // what is bought chopped is not chopped again
      if (row?.aisle === 'tins_jars' || row?.aisle === 'frozen') continue;
      const id = `prep:${line.item.id}:${line.form}:${line.sizeMm ?? 0}`;
      prepOfLine.set(`${batchId}/${line.id}`, id);
      const prep = preps.get(id);
      if (prep) {
        if (!prep.task.batchIds.includes(batchId)) prep.task.batchIds.push(batchId);
        prep.shares.push({ recipe: revision.name, massG });
      } else {
        const size = line.sizeMm ? `, ${line.sizeMm} mm` : '';
        preps.set(id, {
          task: {
            id,
            batchIds: [batchId],
            title: `${verbs[line.form] ?? 'Prepare'} ${row?.name ?? line.name}${size}`,
            detail: '',
            handsOnMin: 0,
            waitMin: 0,
            after: [],
            needs: [],
            hazards: [],
            cleanliness: cleanliness(line.item.id, row?.aisle, revision.kind === 'puree'),
            guess: true,
            timeKey: id,
          },
          ingredientId: line.item.id,
          form: line.form,
          shares: [{ recipe: revision.name, massG }],
        });
      }
    }
  }
  for (const prep of preps.values()) {
    const rate = prepRates.find((r) => r.form === prep.form && r.group === prepGroup(prep.ingredientId)) ?? { setupMin: 2, perKgMin: 10 };
    const total = prep.shares.reduce((sum, s) => sum + s.massG, 0);
    prep.task.handsOnMin = Math.max(1, Math.round(rate.setupMin + (rate.perKgMin * total) / 1000));
    prep.task.amount = sayMassIn(units, Math.round(total));
    prep.task.detail =
      prep.shares.length === 1
        ? `${sayMassIn(units, Math.round(total))} for ${prep.shares[0]?.recipe ?? ''}`
        : `${sayMassIn(units, Math.round(total))}, then deal out: ${listOf(prep.shares.map((s) => `${sayMassIn(units, Math.round(s.massG))} ${s.recipe}`))}`;
  }

  const steps = batches.flatMap(({ batchId, revision, scaled, outs }) =>
    revision.steps.map((step): Task => {
      const kg = step.uses.reduce(
        (sum, use) => sum + ((scaled.lines.find((l) => l.lineId === use.lineId)?.massG ?? 0) / 1000) * use.share,
        0,
      );
      const waitsFor = step.uses.map((use) => prepOfLine.get(`${batchId}/${use.lineId}`)).filter((id): id is string => id !== undefined);
      const uses = step.uses.map((use) => scaled.lines.find((l) => l.lineId === use.lineId)).filter((l) => l !== undefined);
      return {
        id: `step:${batchId}:${step.id}`,
        batchIds: [batchId],
        title: step.text,
        detail: uses.length > 0 ? listOf(uses.map((l) => `${outs?.get(l.lineId) ?? l.out} ${l.line.name}`.trim())) : '',
        handsOnMin: Math.max(1, Math.round(step.handsOnMin + step.handsOnPerKgMin * kg + (scaled.passage?.hands[step.id] ?? 0))),
        // a bigger pot takes longer to boil, and what does not fit goes in turn
        waitMin: Math.max(0, Math.round(step.waitMin + (scaled.passage?.waits[step.id] ?? 0))),
        after: [...new Set([...step.after.map((s) => `step:${batchId}:${s}`), ...waitsFor])],
        needs: [...new Map(step.needs.map((n) => [n.kind, n])).values()].map((n) => ({
          kind: n.kind,
          ...(n.tempC !== undefined && { tempC: n.tempC }),
          ...(severalAtOnce.has(n.kind) && { count: scaled.passage?.atOnce[step.id] ?? 1 }),
        })),
        ...(step.cue && { cue: step.cue }),
        hazards: step.hazards,
        cleanliness: revision.kind === 'puree' ? 0 : 3,
        guess: step.guess,
        timeKey: `step:${revision.recipeId}:${step.id}`,
      };
    }),
  );
  return [...[...preps.values()].map((p) => p.task), ...steps].map((task) => asLastTime(task, times));
}
