import { closePacking, eatTonight, fillPack, finishTask, markLabelled, putAway, tick, weigh, type Act } from '#core/commands';
import type { Batch, Session } from '#core/contract';
import { sayTask } from '#core/cook';
import { addMinutes, instantAt } from '#core/kitchen';
import { filledData, packTexts, sessionView, type BatchView, type World } from '#core/session';
import type { Db } from '../db/index.ts';
import { eventsOf } from '../events/index.ts';
import { packsInStore, worldOf } from '../session/index.ts';
import type { DemoClient } from './client.ts';

export interface SessionPlan {
  cooks?: Session['cooks'];
  name: string;
  day: string;
  startAt: string;
  dishes: { recipeId: string; revisionId: string; portions: number }[];
}

/** Plans a session as the Plan page does. */
export function planSession(client: DemoClient, at: string, plan: SessionPlan): Session {
  const batches = plan.dishes.map((d): Batch => ({ id: client.id(), ...d }));
  const session: Session = {
    id: client.id(),
    name: plan.name,
    day: plan.day,
    startAt: plan.startAt,
    cooks: plan.cooks ?? [{ id: 'cook_joaquim', name: 'Joaquim' }],
    batches,
  };
  client.write(at, `Plan ${plan.name}`, [{ table: 'session', id: session.id, data: session }]);
  return session;
}

/** Where a kind goes first, and the basket. */
function spot(kind: string, n: number): { placeId: string; zoneId: string } {
  if (kind === 'puree') return { placeId: 'place_box', zoneId: 'box_drawer' };
  if (kind === 'aromatic' || kind === 'bread') return { placeId: 'place_box', zoneId: 'box_top' };
  if (kind === 'meal' && n % 4 === 0) return { placeId: 'place_box', zoneId: n % 8 === 0 ? 'box_middle' : 'box_top' };
  const zones = ['shed_left', 'shed_middle', 'shed_right'];
  return { placeId: 'place_shed', zoneId: kind === 'broth' || kind === 'base' ? 'shed_middle' : (zones[n % 3] ?? 'shed_left') };
}

function fill(client: DemoClient, at: string, session: Session, batch: BatchView, world: World, unlabelled: number): number {
  if (!batch.packing.ok) return 0;
  const groups = batch.packing.choice.groups;
  const of = groups.reduce((s, g) => s + g.packs, 0);
  const codes = client.codes(at, of);
  const labelled: string[] = [];
  let n = 0;
  for (const group of groups) {
    for (let i = 0; i < group.packs; i += 1) {
      n += 1;
      const made = filledData(
        {
          revision: batch.revision,
          batchId: batch.batch.id,
          sessionId: session.id,
          lot: batch.lot,
          day: session.day,
          densityGPerMl: batch.yield.densityGPerMl,
          figures: world.figures,
          scaleStepG: world.household.scaleStepG,
        },
        { code: codes[n - 1] ?? '', container: group.container, portions: group.portionsEach, ml: group.mlEach, n, of },
        packTexts(
          batch.heat,
          { massG: group.mlEach * batch.yield.densityGPerMl, volumeMl: group.mlEach, portions: group.portionsEach },
          group.container,
          world,
        ),
      );
      if (!made.ok) throw new Error(`demo: ${batch.revision.name}: ${made.why}`);
      const packId = client.id();
      client.log(addMinutes(at, n), fillPack({ packId }, made.data));
      if (n <= of - unlabelled) labelled.push(packId);
      for (const act of putAway([{ packId }], spot(batch.revision.kind, n))) client.log(addMinutes(at, 90 + n), act);
    }
  }
  // one sheet of labels, stuck on in one go
  const [first] = labelled;
  if (first !== undefined) client.log(addMinutes(at, 60), { ...markLabelled({ packId: first }, 'printed'), subjects: labelled } as Act);
  return of;
}

/** Walks a session from the list to the freezer: shopping, tasks, scale, containers, labels, places. */
export function cookSession(db: Db, client: DemoClient, session: Session, zone: string, unlabelled = 0): void {
  const start = instantAt(session.day, session.startAt, zone);
  const view = (at: string) => {
    const world = worldOf(db);
    return { world, view: sessionView(session, eventsOf(db, session.id), packsInStore(db), world, at) };
  };
  const planned = view(start).view;
  const shopAt = addMinutes(start, -18 * 60);
  for (const line of planned.list.flatMap((sec) => sec.lines).filter((x) => !x.onTheDay)) {
    const how = ['spices', 'oils_sauces', 'baking'].includes(line.aisle) ? 'haveIt' : 'bought';
    client.log(shopAt, tick({ ...line, sessionId: session.id, seen: session.id }, how));
  }
  // cooling, packing and washing up are told by what is packed
  const tasks = planned.tasks.filter((t) => !t.follow).toSorted((a, b) => (a.endMin ?? 0) - (b.endMin ?? 0));
  for (const task of tasks)
    client.log(
      addMinutes(start, task.endMin ?? 0),
      finishTask(
        { sessionId: session.id, taskId: task.id, what: sayTask(task), prep: task.prep, seen: session.id },
        Math.round((task.handsOnMin + task.waitMin) * (0.95 + client.random() * 0.25)),
      ),
    );
  const end = addMinutes(start, Math.max(120, ...tasks.map((t) => t.endMin ?? 0)));
  let at = addMinutes(end, 15);
  for (const batch of planned.batches) {
    const dish = { sessionId: session.id, batchId: batch.batch.id, seen: session.id };
    const ml = Math.round(batch.yield.ml * (0.965 + client.random() * 0.06));
    const netG = Math.round(ml * batch.yield.densityGPerMl);
    if (batch.revision.kind !== 'kit')
      client.log(at, weigh(dish, { grossG: netG + 2450, tareG: 2450, netG, volumeMl: ml, gPerMl: batch.yield.densityGPerMl }));
    const { view: now, world } = view(at);
    const fresh = now.batches.find((b) => b.batch.id === batch.batch.id);
    if (!fresh) continue;
    const packs = fill(client, at, session, fresh, world, batch === planned.batches.at(-1) ? unlabelled : 0);
    const rest = fresh.packing.ok ? fresh.packing.choice.tonightMl : 0;
    if (rest > 60) client.log(addMinutes(at, packs + 2), eatTonight(dish, session.day, Math.round(rest)));
    client.log(addMinutes(at, packs + 3), closePacking(dish));
    at = addMinutes(at, packs + 12);
  }
}
