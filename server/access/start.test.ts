import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { builtServer } from '../testing.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'tambo-start-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface AccessOnDisk {
  askHere: boolean;
  open: boolean;
  passphrase?: { hash: string };
  devices: { ended?: string }[];
}
const access = (): AccessOnDisk => JSON.parse(readFileSync(path.join(folder, 'tambo.access.json'), 'utf8')) as AccessOnDisk;

/** Starts Tambo as the command line does, types these lines, and stops it once it stands; what it said. */
async function started(env: Record<string, string>, typed: readonly string[]): Promise<string> {
  const child = spawn(process.execPath, [builtServer], {
    env: {
      ...process.env,
      TAMBO_DATA: folder,
      TAMBO_PORT: '0',
      TAMBO_HOME_ADDRESSES: '127.0.0.1',
      TAMBO_HOME_PORT: '0',
      TAMBO_HOME_QUIET: '1',
      ...env,
    },
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  let said = '';
  const ended = new Promise<void>((resolve) => void child.on('exit', () => resolve()));
  child.stdin.write(typed.map((t) => `${t}\n`).join(''));
  child.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString();
    if (said.includes('Stop it with')) child.kill('SIGTERM');
  });
  await ended;
  return said;
}

describe('opened by a start at the computer', () => {
  it('asks for a passphrase, takes none that is guessed early, opens, and stays open', async () => {
    const said = await started({ TAMBO_HOME: '1' }, ['leek dill barley plum rye']);
    expect(said).toMatch(/Open to the home network: https:\/\/our-kitchen\.local:\d+ {2}https:\/\/127\.0\.0\.1:\d+/);
    expect(said).not.toContain('leek dill');
    expect(await started({}, [])).toContain('Open to the home network');
    expect(access()).toMatchObject({ open: true, askHere: false });
  }, 60_000);

  it('a new passphrase, forgotten the old one: no device is in any longer, and this computer asks for none', async () => {
    const before = access().passphrase?.hash;
    const at = new Date().toISOString();
    const phone = { id: 'p1', tokenHash: 'x', name: 'Phone', kind: 'phone', since: at, seen: at, address: '192.168.1.9' };
    writeFileSync(path.join(folder, 'tambo.access.json'), JSON.stringify({ ...access(), askHere: true, devices: [phone] }));
    const said = await started({ TAMBO_NEW_PASSPHRASE: '1' }, ['walnut whisk toast thyme spinach']);
    expect(said).toContain('Open to the home network');
    expect(access().passphrase?.hash).not.toBe(before);
    expect(access().devices).toMatchObject([{ ended: 'by the computer' }]);
    expect(access().askHere).toBe(false);
  }, 60_000);

  it('one that is guessed early leaves it shut and says why', async () => {
    rmSync(path.join(folder, 'tambo.access.json'));
    const said = await started({ TAMBO_HOME: '1' }, ['short', 'password1234', 'qwertyuiop12']);
    expect(said).toContain('12 letters or more');
    expect(said).toContain('guessed early');
    expect(said).toContain('The home network stays shut');
  }, 60_000);
});
