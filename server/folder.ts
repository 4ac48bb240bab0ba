import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** The folder a household lives in: its database, the port it keeps, and who runs on it now. */
export interface DataFolder {
  folder: string;
  dbFile: string;
  port: number | undefined;
  rememberPort(port: number): void;
  /** Address of a server that runs on this folder and answers, if there is one. */
  running(): Promise<string | undefined>;
  markRunning(address: string): void;
  unmark(): void;
}

const readJson = (file: string): Record<string, unknown> => {
  try {
    return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>) : {};
  } catch {
    return {};
  }
};

const alive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

export function dataFolder(folder: string, dbName: string): DataFolder {
  mkdirSync(folder, { recursive: true });
  const portFile = path.join(folder, 'port.json');
  const runFile = path.join(folder, 'running.json');
  const port = readJson(portFile).port;
  return {
    folder,
    dbFile: path.join(folder, dbName),
    port: typeof port === 'number' ? port : undefined,
    rememberPort: (p) => writeFileSync(portFile, `${JSON.stringify({ port: p })}\n`),
    async running() {
      const { pid, address } = readJson(runFile);
      if (typeof pid !== 'number' || typeof address !== 'string' || pid === process.pid || !alive(pid)) return undefined;
      try {
        const res = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(2000) });
        return res.ok ? address : undefined;
      } catch {
        return undefined;
      }
    },
    markRunning: (address) => writeFileSync(runFile, `${JSON.stringify({ pid: process.pid, address })}\n`),
    unmark: () => rmSync(runFile, { force: true }),
  };
}
