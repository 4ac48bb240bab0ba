import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, type Server } from 'node:net';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { dataFolder } from './folder.ts';
import { makeClock } from './clock/index.ts';
import { builtServer } from './testing.ts';

const root = path.resolve(import.meta.dirname, '..');
let folder: string;
const children: ChildProcess[] = [];

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'tambo-start-'));
});
afterEach(() => {
  for (const c of children.splice(0)) c.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

interface Started {
  child: ChildProcess;
  said: () => string;
  ended: Promise<number | null>;
}

function start(env: Record<string, string> = {}): Started {
  const child = spawn(process.execPath, [builtServer], {
    cwd: root,
    env: { ...process.env, TAMBO_DATA: folder, TAMBO_DEMO: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  children.push(child);
  let text = '';
  child.stdout?.on('data', (c: Buffer) => (text += c.toString()));
  child.stderr?.on('data', (c: Buffer) => (text += c.toString()));
  return { child, said: () => text, ended: new Promise((resolve) => child.on('exit', resolve)) };
}

async function until(s: Started, pattern: RegExp): Promise<RegExpExecArray> {
  for (let i = 0; i < 300; i += 1) {
    const m = pattern.exec(s.said());
    if (m) return m;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`never said ${String(pattern)}: ${s.said()}`);
}

const hold = (port: number): Promise<Server> =>
  new Promise((resolve) => {
    const s = createServer().listen(port, '127.0.0.1', () => resolve(s));
  });

describe('starting and stopping', () => {
  it('stops on Ctrl-C with nothing left running, and a second start on the folder names the first', async () => {
    const first = start({ TAMBO_PORT: '0' });
    const [, address = ''] = await until(first, /ready on (http:\/\/127\.0\.0\.1:\d+)/);
    const second = start({ TAMBO_PORT: '0' });
    expect(await second.ended).toBe(0);
    expect(second.said()).toContain(`already running on ${address}`);
    first.child.kill('SIGINT');
    expect(await first.ended).toBe(0);
    expect(existsSync(path.join(folder, 'running.json'))).toBe(false);
    await expect(fetch(`${address}/api/health`)).rejects.toThrow();
  });

  it('insists on the port its folder remembers, and says who holds it and how to change it', async () => {
    const held = await hold(0);
    const at = held.address();
    const port = typeof at === 'object' && at ? at.port : 0;
    writeFileSync(path.join(folder, 'port.json'), JSON.stringify({ port }));
    const s = start();
    expect(await s.ended).toBe(1);
    expect(s.said()).toContain(`Port ${port} is used by another program`);
    expect(s.said()).toContain('TAMBO_PORT=');
    held.close();
  });

  it('says what is wrong with a clock that cannot be set', async () => {
    const s = start({ TAMBO_NOW: 'tomorrow' });
    expect(await s.ended).toBe(1);
    expect(s.said()).toContain('expected an instant');
  });
});

describe('the data folder', () => {
  it('remembers its port and survives a broken note', () => {
    dataFolder(folder, 'x.sqlite').rememberPort(4242);
    expect(dataFolder(folder, 'x.sqlite').port).toBe(4242);
    writeFileSync(path.join(folder, 'port.json'), '{');
    expect(dataFolder(folder, 'x.sqlite').port).toBeUndefined();
  });
  it('does not take a dead process for a running one', async () => {
    writeFileSync(path.join(folder, 'running.json'), JSON.stringify({ pid: 2 ** 22 - 3, address: 'http://127.0.0.1:1' }));
    expect(await dataFolder(folder, 'x.sqlite').running()).toBeUndefined();
    const f = dataFolder(folder, 'x.sqlite');
    f.markRunning('http://127.0.0.1:1');
    expect(JSON.parse(readFileSync(path.join(folder, 'running.json'), 'utf8'))).toMatchObject({ pid: process.pid });
    f.unmark();
    expect(existsSync(path.join(folder, 'running.json'))).toBe(false);
  });
});

describe('the clock', () => {
  it('stands, runs and moves only as it was set', () => {
    const stopped = makeClock({ TAMBO_NOW: '2026-11-24T16:00:00Z', TAMBO_CLOCK: 'stopped' });
    expect(stopped.now()).toBe('2026-11-24T16:00:00.000Z');
    expect(stopped.move('2026-11-25T16:00:00.000Z')).toBe(true);
    expect(stopped.now()).toBe('2026-11-25T16:00:00.000Z');
    const real = makeClock({});
    expect(real.move('2020-01-01T00:00:00.000Z')).toBe(false);
    expect(Math.abs(Date.parse(real.now()) - Date.now())).toBeLessThan(2000);
    const running = makeClock({ TAMBO_NOW: '2026-11-24T16:00:00Z' });
    expect(running.now().slice(0, 16)).toBe('2026-11-24T16:00');
  });
});

describe('a household at the start', () => {
  it('does not touch a household that a newer Tambo has written, and says so', async () => {
    const first = start({ TAMBO_PORT: '0' });
    await until(first, /ready on/);
    first.child.kill('SIGINT');
    await first.ended;
    const file = path.join(folder, 'tambo.sqlite');
    const db = new Database(file);
    db.exec("insert into __drizzle_migrations (hash, created_at) values ('of tomorrow', 9999999999999)");
    db.close();
    const before = readFileSync(file);
    const second = start({ TAMBO_PORT: '0' });
    expect(await second.ended).toBe(1);
    expect(second.said()).toMatch(/newer Tambo .* Nothing was changed\. Bring this Tambo up to date/);
    expect(second.said()).not.toMatch(/\n\s+at /);
    expect(readFileSync(file).equals(before)).toBe(true);
  });

  it('makes the demo anew when it was ended half-made', async () => {
    const first = start({ TAMBO_PORT: '0', TAMBO_DEMO: '1', TAMBO_NOW: '2026-11-24T16:00:00.000Z', TAMBO_FAULT: 'demo:half' });
    await first.ended;
    expect(existsSync(path.join(folder, 'demo.sqlite'))).toBe(true);
    const second = start({ TAMBO_PORT: '0', TAMBO_DEMO: '1', TAMBO_NOW: '2026-11-24T16:00:00.000Z' });
    const [, address = ''] = await until(second, /ready on (http:\/\/127\.0\.0\.1:\d+)/);
    const { packs } = (await (await fetch(`${address}/api/store`)).json()) as { packs: unknown[] };
    expect(packs.length).toBeGreaterThan(20);
    expect(existsSync(path.join(folder, 'demo.making'))).toBe(false);
  }, 60_000);
});
