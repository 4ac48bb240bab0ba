import type { ChildProcess } from 'node:child_process';

export interface RunningServer {
  address: string;
  data: string;
  child: ChildProcess;
  readyMs: number;
  stop(signal?: NodeJS.Signals): Promise<void>;
}
export function startServer(options?: { env?: Record<string, string>; folder?: string; keep?: boolean }): Promise<RunningServer>;
export const chromiumArgs: string[];
