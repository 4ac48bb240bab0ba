import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { intentId, type EventData, type EventType, type Revision, type Session, type TamboEvent } from '#core/contract';
import { addDays, addMinutes, instantAt } from '#core/kitchen';
import type { RecipeDraft } from '#core/recipe';
import { filledData, packTexts, type SessionView } from '#core/session';
import {
  storeAnswer,
  todayAnswer,
  type EatAnswer,
  type FrameAnswer,
  type KitchenAnswer,
  type LabelsAnswer,
  type PackAnswer,
  type RecipeAnswer,
  type RecipeBrief,
  type StoreAnswer,
  type TodayAnswer,
} from '#core/queries';
import { withPending, openSnapshot, type Snapshot } from '#core/sync';
import { testServer, type TestServer } from '../testing.ts';
import { containers, eaters, equipment, files, household, places, platesADay, tubOuterMl } from './household.ts';

const zone = 'Europe/London';
const firstDay = '2027-03-06';
const at = (day: string, clock: string): string => instantAt(day, clock, zone);

/** A phone: it stamps as the web does, and keeps what it logs while it has no connection. */
class Phone {
  private counter = 0;
  readonly waiting: TamboEvent[] = [];
  offline = false;
  constructor(
    readonly device: string,
    private readonly send: (events: readonly TamboEvent[]) => Promise<void>,
  ) {}

  /** One thing meant, tapped twice: the id follows from what was meant. */
  async log<T extends EventType>(instant: string, type: T, subjects: string[], data: EventData<T>, seen = ''): Promise<void> {
    this.counter += 1;
    const id = intentId(
      this.device,
      type,
      subjects.join(' '),
      seen,
      JSON.stringify([(data as { taskId?: string }).taskId ?? '', instant.slice(0, 16)]),
    );
    const event = { id, type, subjects, instant, device: this.device, counter: this.counter, version: 1, data } as TamboEvent;
    this.waiting.push(event, { ...event });
    if (!this.offline) await this.deliver();
  }
  async deliver(): Promise<void> {
    await this.send(this.waiting.splice(0));
  }
}

/** What the test knows by counting on paper. */
interface Paper {
  left: number;
  outerMl: number;
  recipeId: string;
  dinner: boolean;
  where: 'chest' | 'fridge' | 'gone';
}

let s: TestServer;
const get = async <T>(path: string): Promise<T> => (await request(s.app).get(`/api${path}`)).body as T;
const send = async (events: readonly TamboEvent[]): Promise<void> => {
  for (let i = 0; i < events.length; i += 50) {
    const res = await request(s.app)
      .post('/api/events')
      .send(events.slice(i, i + 50));
    const { answers } = res.body as { answers: { status: string; refusals?: unknown }[] };
    expect(answers.filter((a) => a.status === 'refused')).toEqual([]);
  }
};
let writes = 0;
const write = async (changes: { table: string; id: string; data: unknown }[]): Promise<void> => {
  const body = { writeId: `w${(writes += 1)}`, device: 'laptop', instant: s.clock.now(), label: 'by hand', changes };
  const first = await request(s.app).post('/api/writes').send(body);
  expect(first.body).toMatchObject({ changed: changes.length });
  // an impatient second tap is the same write
  expect((await request(s.app).post('/api/writes').send(body)).body).toEqual(first.body);
};

const paper = new Map<string, Paper>();
const onPaper = (keep: (p: Paper) => boolean): Paper[] => [...paper.values()].filter((p) => p.where !== 'gone' && keep(p));
const sum = (list: Paper[], of: (p: Paper) => number): number => list.reduce((t, p) => t + of(p), 0);
let tablet: Phone;
let phone: Phone;
const ids: Record<string, { recipeId: string; revisionId: string }> = {};

/** Every figure that a page shows, against the paper. */
async function agrees(when: string): Promise<void> {
  const [store, today, frame, eat, kitchen, recipes] = await Promise.all([
    get<StoreAnswer>('/store'),
    get<TodayAnswer>('/today'),
    get<FrameAnswer>('/frame'),
    get<EatAnswer>('/eat'),
    get<KitchenAnswer>('/kitchen'),
    get<RecipeBrief[]>('/recipes'),
  ]);
  const all = onPaper(() => true);
  expect(store.packs.length, when).toBe(all.length);
  expect(
    store.packs.reduce((t, p) => t + p.left, 0),
    when,
  ).toBeCloseTo(
    sum(all, (p) => p.left),
    9,
  );
  expect(frame.strip.length, when).toBe(all.length);
  // dinners: plates of what is a dinner by itself, over what the table asks for
  const dinners = Math.floor(
    sum(
      onPaper((p) => p.dinner),
      (p) => p.left,
    ) /
      platesADay +
      1e-9,
  );
  expect([today.supplies.dinners.count, frame.supplies.dinners.count, eat.supplies.dinners.count, store.dinners], when).toEqual([
    dinners,
    dinners,
    dinners,
    dinners,
  ]);
  // room by the outside of what stands in the chest
  const usedMl = sum(
    onPaper((p) => p.where === 'chest'),
    (p) => p.outerMl,
  );
  for (const list of [store.places, kitchen.places]) {
    const room = list.find((p) => p.place.id === 'chest')!.room;
    expect(room.usableMl, when).toBeCloseTo(90_000, 6);
    expect(room.usedMl, when).toBe(usedMl);
    expect(room.freeMl, when).toBeCloseTo(90_000 - usedMl, 6);
  }
  for (const [name, { recipeId }] of Object.entries(ids)) {
    const mine = sum(
      onPaper((p) => p.recipeId === recipeId),
      (p) => p.left,
    );
    expect(recipes.find((r) => r.recipe.id === recipeId)!.portionsInStore, `${when}: ${name}`).toBeCloseTo(mine, 9);
    expect((await get<RecipeAnswer>(`/recipes/${recipeId}`)).portionsInStore, `${when}: ${name}`).toBeCloseTo(mine, 9);
  }
}

/** Imports a file as the review does: the guesses stand, the serving is what the cook says. */
async function importRecipe(name: keyof typeof files, answers: Partial<Revision>): Promise<RecipeDraft> {
  const { drafts } = (
    await request(s.app)
      .post('/api/recipes/read')
      .send({ text: files[name], fileName: `${name}.json` })
  ).body as { drafts: RecipeDraft[] };
  const draft = drafts[0]!;
  const recipeId = `rec_${name}`;
  const revisionId = `rev_${name}`;
  ids[name] = { recipeId, revisionId };
  const data = {
    ...draft.revision,
    ...answers,
    id: revisionId,
    recipeId,
    madeAt: s.clock.now(),
    confirmed: ['kind', 'yield', 'serving', 'storage', 'hands'],
  };
  await write([
    { table: 'recipe_revision', id: revisionId, data },
    { table: 'recipe', id: recipeId, data: { id: recipeId, revisionId, name: draft.revision.name, kind: data.kind, archived: false } },
  ]);
  return draft;
}

const session = (id: string, day: string, batches: { name: string; portions: number }[]): Session => ({
  id,
  name: `Cooking on ${day}`,
  day,
  startAt: '10:00',
  cooks: [{ id: 'cook', name: 'Ylva' }],
  batches: batches.map((b) => ({ id: `${id}_${b.name}`, ...ids[b.name]!, portions: b.portions })),
});

/** Packs a batch as the Pack page does, each tap twice; gives the ids of its packs. */
async function pack(view: SessionView, batchId: string, when: string): Promise<string[]> {
  const b = view.batches.find((x) => x.batch.id === batchId)!;
  if (!b.packing.ok) throw new Error(b.packing.why);
  const { groups, packs } = b.packing.choice;
  const codes = ((await request(s.app).post('/api/codes').send({ count: packs, device: 'tablet' })).body as { codes: string[] }).codes;
  const made: string[] = [];
  for (const g of groups)
    for (let i = 0; i < g.packs; i += 1) {
      const n = made.length + 1;
      const data = filledData(
        {
          revision: b.revision,
          batchId,
          sessionId: view.session.id,
          lot: b.lot,
          day: view.session.day,
          densityGPerMl: b.yield.densityGPerMl,
          figures: b.heat.figures,
          scaleStepG: 1,
        },
        { code: codes[n - 1]!, container: g.container, portions: g.portionsEach, ml: g.mlEach, n, of: packs },
        packTexts(b.heat, { massG: g.mlEach * b.yield.densityGPerMl, volumeMl: g.mlEach, portions: g.portionsEach }, g.container, {
          equipment: [...equipment],
        }),
      );
      if (!data.ok) throw new Error(data.why);
      const packId = intentId(batchId, 'pack', String(n));
      made.push(packId);
      await tablet.log(addMinutes(when, n), 'filled', [packId], data.data);
      await tablet.log(addMinutes(when, 40 + n), 'moved', [packId], { placeId: 'chest', zoneId: 'basket' });
    }
  return made;
}

beforeAll(async () => {
  s = testServer(at(firstDay, '08:00'));
  tablet = new Phone('tablet', send);
  phone = new Phone('phone', send);
  const { household: was } = await get<FrameAnswer>('/frame');
  await write([{ table: 'household', id: 'household', data: household(was) }]);
  await write([
    ...eaters.map((data) => ({ table: 'eater', id: data.id, data })),
    ...containers.map((data) => ({ table: 'container', id: data.id, data })),
    ...places.map((data) => ({ table: 'place', id: data.id, data })),
    ...equipment.map((data) => ({ table: 'equipment', id: data.id, data })),
  ]);
});
afterAll(() => s.close());

describe('a fortnight in a household of its own', () => {
  it('reads three of its recipes, warns before anything is cooked, and takes nothing that it does not know', async () => {
    const soup = await importRecipe('soup', { serving: { amount: 420, unit: 'g' }, servings: 7 });
    expect(soup.unmatched).toEqual([]);
    const stew = await importRecipe('stew', { serving: { amount: 400, unit: 'g' }, servings: 6 });
    expect(stew.revision.lines.filter((l) => l.item.type === 'unmatched').map((l) => l.name)).toEqual(['glimmer paste']);
    const puree = await importRecipe('puree', { servings: 20 });
    // cubes are those of the household's tray
    expect(puree.revision.kind).toBe('puree');
    expect(puree.revision.cubeMl).toBe(27);
    expect(puree.revision.serving.amount).toBe(27);
    const brief = (await get<RecipeBrief[]>('/recipes')).find((r) => r.recipe.id === 'rec_stew')!;
    expect(brief.notFor[0]).toMatch(/^Not for Ylva/);
    await agrees('before cooking');
  });

  it('divides grams by grams: 2.95 kg at 420 g are 7 portions, whatever a litre weighs', async () => {
    await write([
      {
        table: 'session',
        id: 's1',
        data: session('s1', firstDay, [
          { name: 'soup', portions: 7 },
          { name: 'puree', portions: 20 },
        ]),
      },
    ]);
    s.clock.move(at(firstDay, '12:00'));
    await tablet.log(at(firstDay, '12:00'), 'weighed', ['s1'], {
      batchId: 's1_soup',
      grossG: 4350,
      tareG: 1400,
      netG: 2950,
      volumeMl: 2950 / 1.04,
      tub: { ml: 900, g: 936 },
    });
    const view = await get<SessionView>('/sessions/s1');
    const b = view.batches.find((x) => x.batch.id === 's1_soup')!;
    expect(b.yield.portions).toBeCloseTo(2950 / 420, 6);
    expect(b.yield.densityGPerMl).toBeCloseTo(936 / 900, 6);
    const made = await pack(view, 's1_soup', at(firstDay, '12:10'));
    const choice = b.packing.ok ? b.packing.choice : undefined;
    const portions = choice!.groups.flatMap((g) =>
      Array.from({ length: g.packs }, () => ({ portions: g.portionsEach, id: g.container.id })),
    );
    expect(portions.reduce((t, p) => t + p.portions, 0) + choice!.portionsLeft).toBe(7);
    for (const [i, id] of made.entries())
      paper.set(id, {
        left: portions[i]!.portions,
        outerMl: tubOuterMl(portions[i]!.id),
        recipeId: 'rec_soup',
        dinner: true,
        where: 'chest',
      });
    await agrees('after the soup');
  });

  it('makes cubes of its own tray: 540 ml are 20 of 27 ml, and no dinner', async () => {
    s.clock.move(at(firstDay, '13:30'));
    await tablet.log(at(firstDay, '13:30'), 'weighed', ['s1'], { batchId: 's1_puree', volumeMl: 540, by: 'ladle' });
    const view = await get<SessionView>('/sessions/s1');
    const b = view.batches.find((x) => x.batch.id === 's1_puree')!;
    expect(b.yield.portions).toBe(20);
    const made = await pack(view, 's1_puree', at(firstDay, '13:40'));
    const { packs } = await get<StoreAnswer>('/store');
    const mine = packs.filter((p) => p.name.startsWith('Carrot'));
    expect(mine.reduce((t, p) => t + p.left, 0)).toBe(20);
    for (const id of made) {
      const p = mine.find((x) => x.packId === id)!;
      // cubes lie loose in their bag: the core says by how much, the paper takes it from the pack itself once
      expect(p.outerMl).toBeGreaterThan(27 * p.left);
      paper.set(id, { left: p.left, outerMl: p.outerMl, recipeId: 'rec_puree', dinner: false, where: 'chest' });
    }
    await agrees('after the cubes');
  });

  it('prints labels that a stranger can cook from, with the code of the pack', async () => {
    const labels = await get<LabelsAnswer>('/labels/s1');
    expect(labels.labels.length).toBe(paper.size);
    const { packs } = await get<StoreAnswer>('/store');
    for (const p of packs) {
      const one = await get<PackAnswer>(`/packs/${p.code}`);
      expect(one.label.code).toBe(p.code);
      expect(one.label.heat.length, p.name).toBeGreaterThan(0);
      expect(one.label.thaw, p.name).toMatch(/\d/);
      for (const [sentence] of one.label.heat) expect(sentence).toMatch(/^[A-Z].*\.$/);
    }
    for (const p of packs)
      await tablet.log(at(firstDay, '15:00'), 'labelled', [p.packId], { how: 'printed', says: labels.says[p.packId]!.allergy });
    expect((await get<TodayAnswer>('/today')).view.unlabelled.count).toBe(0);
  });

  it('learns from what was weighed: the next soup starts from the density and the yield of this one', async () => {
    const recipe = await get<RecipeAnswer>('/recipes/rec_soup');
    expect(recipe.runs).toHaveLength(1);
    expect(recipe.runs[0]).toMatchObject({ unit: 'g', weighed: 2950 });
    const next = firstDay.replace('06', '13');
    await write([{ table: 'session', id: 's2', data: session('s2', next, [{ name: 'soup', portions: 7 }]) }]);
    const view = await get<SessionView>('/sessions/s2');
    expect(view.batches[0]!.yield.densityGPerMl).toBeCloseTo(936 / 900, 3);
    expect(view.batches[0]!.yield.densityGuess).toBe(false);
  });

  it('agrees every evening of a fortnight, with two phones and one of them offline for days', async () => {
    let kept: Snapshot | undefined;
    for (let n = 1; n <= 14; n += 1) {
      const day = addDays(firstDay, n);
      s.clock.move(at(day, '19:30'));
      phone.offline = (n >= 3 && n <= 5) || (n >= 9 && n <= 12);
      if (phone.offline) kept ??= await get<Snapshot>('/snapshot');
      else {
        await phone.deliver();
        kept = undefined;
      }
      // the tablet writes down a dinner on even days, the phone on odd ones, each by double tap
      const [id, p] = [...paper.entries()].find(([, x]) => x.where === 'chest' && x.dinner && x.left > 0) ?? [];
      if (id && p) {
        const eat = Math.min(p.left, n % 3 === 0 ? 0.5 : 1);
        const rest = eat < p.left ? ('freezer' as const) : ('none' as const);
        await (n % 2 === 0 ? tablet : phone).log(at(day, '19:00'), 'eaten', [id], {
          day,
          meal: 'dinner',
          shares: [{ eaterId: 'tam', portions: eat }],
          guests: 0,
          rest,
        });
        p.left -= eat;
        if (p.left < 1e-9) p.where = 'gone';
      }
      // cubes for Pip, in the morning, on the phone
      const [cubeId, cubes] = [...paper.entries()].find(([, x]) => x.where !== 'gone' && !x.dinner) ?? [];
      if (cubeId && cubes) {
        await phone.log(at(day, '08:00'), 'eaten', [cubeId], {
          day,
          meal: 'breakfast',
          shares: [{ eaterId: 'pip', portions: 1 }],
          guests: 0,
          rest: cubes.left > 1 ? 'freezer' : 'none',
        });
        cubes.left -= 1;
        if (cubes.left < 1e-9) cubes.where = 'gone';
      }
      if (!phone.offline) await agrees(`evening ${n}`);
      else if (kept) {
        // what the phone shows meanwhile: what it kept and what it logged itself, each thing once
        const own = withPending(kept, { events: phone.waiting, writes: [] });
        const { world, records } = openSnapshot(own);
        const shown = storeAnswer(world, records, s.clock.now());
        const spent = new Map<string, number>();
        for (const e of new Map(phone.waiting.map((x) => [x.id, x])).values())
          if (e.type === 'eaten') spent.set(e.subjects[0]!, (spent.get(e.subjects[0]!) ?? 0) + e.data.shares[0]!.portions);
        for (const q of kept.packs) {
          const now = shown.packs.find((x) => x.packId === q.packId);
          expect(now?.left ?? 0, `offline ${n}`).toBeCloseTo(q.left - (spent.get(q.packId) ?? 0), 9);
        }
        expect(todayAnswer(world, records, s.clock.now()).supplies.dinners.count).toBe(shown.dinners);
      }
    }
    phone.offline = false;
    await phone.deliver();
    await agrees('when both are back');
    // sent again, whole, by a phone that heard no answer: nothing changes
    const logged = (await get<Snapshot>('/snapshot')).packs.length;
    await agrees('after a second look');
    expect(logged).toBe(onPaper(() => true).length);
  });

  it('warns of the nuts at every door once the stew is packed, and lists old labels when an allergy is new', async () => {
    const day = addDays(firstDay, 15);
    s.clock.move(at(day, '10:00'));
    await write([{ table: 'session', id: 's3', data: session('s3', day, [{ name: 'stew', portions: 6 }]) }]);
    const view = await get<SessionView>('/sessions/s3');
    const made = await pack(view, 's3_stew', at(day, '10:10'));
    s.clock.move(at(day, '12:00'));
    await tablet.log(at(day, '11:30'), 'labelled', made, {
      how: 'printed',
      says: (await get<LabelsAnswer>('/labels/s3')).says[made[0]!]?.allergy ?? '',
    });
    await tablet.log(at(day, '11:40'), 'planned', [made[0]!], { for: { day, meal: 'dinner' } });
    const today = await get<TodayAnswer>('/today');
    const eat = await get<EatAnswer>('/eat');
    expect(today.view.tonight.notFor[0]).toMatch(/^Not for Ylva/);
    expect(eat.evenings[0]!.notFor[0]).toMatch(/^Not for Ylva/);
    expect(today.printAgain.count).toBe(0);
    // Tam can no longer eat nuts
    await write([{ table: 'eater', id: 'tam', data: { ...eaters[1], allergens: ['al_treenut'] } }]);
    const after = await get<TodayAnswer>('/today');
    expect(after.view.tonight.notFor.some((w) => w.startsWith('Not for Tam'))).toBe(true);
    expect(after.printAgain.count).toBe(made.length);
  });
});
