import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Free } from '#core/pack';
import { type SessionView } from '#core/session';
import { kitchenAnswer, viewOf } from '#core/queries';
import { makeDemo } from '../../server/demo/makeDemo.ts';
import { settingOf } from '../../server/session/index.ts';
import { testServer, type TestServer } from '../../server/testing.ts';
import { optionsFor, sayResult } from './options.ts';

const now = '2026-11-24T16:00:00.000Z';
let s: TestServer;
let view: SessionView;
let frees: Free[];

beforeAll(() => {
  s = testServer(now);
  makeDemo(s.db, { now, zone: 'Europe/London', seed: 7 });
  const { world, records } = settingOf(s.ctx);
  const session = records.sessions().find((x) => x.day > '2026-11-24')!;
  view = viewOf(session, world, records, now);
  frees = kitchenAnswer(world, records, now).containers.map((c) => ({ container: c.container, free: c.free }));
}, 60_000);
afterAll(() => s.close());

describe('ways to pack a dish', () => {
  it('begin with the plan, and no two are the same', () => {
    for (const b of view.batches) {
      const options = optionsFor(b, view, frees, [2]);
      expect(options[0]).toMatchObject({ id: 'plan', result: b.packing });
      const results = options.map((o) => JSON.stringify(o.result));
      expect(new Set(results).size).toBe(results.length);
    }
  });
  it('never take a container that another dish of the session needs, nor more than there are', () => {
    for (const b of view.batches) {
      const others = view.batches.filter((x) => x.batch.id !== b.batch.id && !x.flags.packed);
      for (const o of optionsFor(b, view, frees, [2])) {
        if (!o.result.ok) continue;
        for (const g of o.result.choice.groups) {
          const taken = others
            .flatMap((x) => (x.packing.ok ? x.packing.choice.groups : []))
            .filter((x) => x.container.id === g.container.id);
          const free = frees.find((f) => f.container.id === g.container.id)!.free;
          expect(g.packs + taken.reduce((n, x) => n + x.packs, 0), `${b.revision.name}: ${o.name}`).toBeLessThanOrEqual(free);
        }
      }
    }
  });
  it('pack no more than came out, and say what is left', () => {
    for (const b of view.batches)
      for (const o of optionsFor(b, view, frees, [2])) {
        const says = sayResult(o.result, b.revision.kind);
        expect(says).not.toMatch(/undefined|NaN/);
        if (!o.result.ok) continue;
        const packed = o.result.choice.groups.reduce((n, g) => n + g.packs * g.mlEach, 0);
        expect(packed).toBeLessThanOrEqual(b.toPackMl + 1e-6);
        if (o.result.choice.portionsLeft > 0) expect(says).toContain('no container');
      }
  });
  it('offer cubes their bags alone', () => {
    const puree = view.batches.find((b) => b.revision.cubeMl !== undefined)!;
    expect(optionsFor(puree, view, frees, [2]).map((o) => o.id)).toEqual(['plan']);
  });
  it('say why there is none', () => {
    expect(sayResult({ ok: false, why: 'nothingFree' } as Parameters<typeof sayResult>[0], 'meal')).toBe('nothing that fits is free');
  });
});
