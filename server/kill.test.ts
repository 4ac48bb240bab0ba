import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { codeFrom } from '#core/pack';
import { eq } from 'drizzle-orm';
import { testFilled } from '../core/store/fixtures.ts';
import { openDb, schema } from './db/index.ts';
import { builtServer, migrationsFolder, stamped } from './testing.ts';

const root = path.resolve(import.meta.dirname, '..');
/** More than a server is sent before it is killed; all numbers must be codes. */
const perRound = 5000;
const kills = process.env.TAMBO_THOROUGH ? 100 : 2;

async function start(folder: string): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, [builtServer], {
    cwd: root,
    env: { ...process.env, TAMBO_DATA: folder, TAMBO_PORT: '0', TAMBO_DEMO: '' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stdout?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const m = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
      if (m) resolve(m[0]);
    });
    child.on('exit', () => reject(new Error(`ended early: ${said}`)));
  });
  return { child, address };
}

describe('a killed server', () => {
  it(
    `has every acknowledged event after ${kills} kills in mid-write`,
    async () => {
      const folder = mkdtempSync(path.join(tmpdir(), 'tambo-kill-'));
      const acknowledged: string[] = [];
      try {
        for (let round = 0; round < kills; round += 1) {
          const { child, address } = await start(folder);
          const gone = new Promise((resolve) => child.on('exit', resolve));
          setTimeout(() => child.kill('SIGKILL'), 120 + ((round * 37) % 700));
          for (let i = 0; ; i += 1) {
            const n = round * perRound + i;
            const e = stamped('filled', [`pack-${n}`], testFilled({ code: codeFrom(n) }), { id: `kill-${n}` });
            try {
              const res = await fetch(`${address}/api/events`, {
                method: 'POST',
                headers: { 'content-type': 'application/json' },
                body: JSON.stringify([e]),
                // killed between head and body of an answer, the server leaves a request that nothing ends
                signal: AbortSignal.timeout(5000),
              });
              const body = (await res.json()) as { answers: { status: string }[] };
              if (body.answers[0]?.status === 'kept') acknowledged.push(e.id);
            } catch {
              break;
            }
          }
          await gone;
        }
        expect(acknowledged.length).toBeGreaterThan(kills);
        const open = openDb(path.join(folder, 'tambo.sqlite'), migrationsFolder);
        const kept = new Set(
          open.db
            .select({ id: schema.event.id })
            .from(schema.event)
            .all()
            .map((e) => e.id),
        );
        expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
        // nothing half-written: each kept event has its pack
        for (const id of kept)
          expect(
            open.db
              .select({ id: schema.packState.packId })
              .from(schema.packState)
              .where(eq(schema.packState.packId, id.replace('kill', 'pack')))
              .get(),
          ).toBeDefined();
        expect(open.sqlite.prepare('PRAGMA integrity_check').all()).toEqual([expect.objectContaining({ integrity_check: 'ok' })]);
        open.close();
      } finally {
        rmSync(folder, { recursive: true, force: true });
      }
    },
    kills * 8000 + 60_000,
  );
});
