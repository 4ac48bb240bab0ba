import type { Server } from 'node:net';

/** Ports that are tried one after another when none is remembered. */
const mostTried = 100;

const tryPort = (server: Server, host: string, port: number): Promise<boolean> =>
  new Promise((resolve, reject) => {
    const failed = (error: NodeJS.ErrnoException): void => {
      server.off('listening', stands);
      if (error.code === 'EADDRINUSE') return resolve(false);
      reject(error);
    };
    const stands = (): void => {
      server.off('error', failed);
      resolve(true);
    };
    server.once('error', failed);
    server.once('listening', stands);
    server.listen(port, host);
  });

/**
 * Listens on a host: on the port that is asked for or remembered, else on the first free one.
 * A port that is remembered is insisted on, since what waits on a device belongs to its address.
 */
export async function listen(
  server: Server,
  host: string,
  wanted: { remembered?: number; asked?: number; first: number },
): Promise<{ port: number } | { taken: number }> {
  const fixed = wanted.asked ?? wanted.remembered;
  const tried = fixed === undefined ? Array.from({ length: mostTried }, (_, i) => wanted.first + i) : [fixed];
  for (const port of tried) {
    if (!(await tryPort(server, host, port))) continue;
    const at = server.address();
    return { port: typeof at === 'object' && at ? at.port : port };
  }
  return { taken: fixed ?? wanted.first };
}
