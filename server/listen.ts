import type { Server } from 'node:http';
import type { Express } from 'express';

const host = '127.0.0.1';
const firstPort = 4173;

const tryPort = (app: Express, port: number): Promise<Server | undefined> =>
  new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error?: Error) => {
      if (!error) return resolve(server);
      if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') return resolve(undefined);
      reject(error);
    });
  });

/**
 * Listens on this computer only. The first start takes 4173 or the next free port; later starts insist on the one the folder remembers,
 * since what waits on a device belongs to its address.
 */
export async function listen(
  app: Express,
  wanted: { remembered?: number; asked?: number },
): Promise<{ server: Server; port: number } | { taken: number }> {
  const fixed = wanted.asked ?? wanted.remembered;
  if (fixed !== undefined) {
    const server = await tryPort(app, fixed);
    if (!server) return { taken: fixed };
    const at = server.address();
    return { server, port: typeof at === 'object' && at ? at.port : fixed };
  }
  for (let port = firstPort; port < firstPort + 100; port += 1) {
    const server = await tryPort(app, port);
    if (server) return { server, port };
  }
  return { taken: firstPort };
}
