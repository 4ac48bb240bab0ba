import { once } from 'node:events';
import { createServer, request, type IncomingMessage } from 'node:http';
import express from 'express';
import { afterEach, describe, expect, it } from 'vitest';
import { Live } from './live.ts';

const open: (() => void)[] = [];
afterEach(() => open.splice(0).forEach((close) => close()));

/** A server with a household that has come so far, and what a page hears from it. */
async function serve(start = '1 1') {
  let asOf = start;
  const live = new Live(() => ({ storeId: 's', asOf }));
  const app = express();
  app.get('/live', live.stream);
  const server = createServer(app).listen(0);
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  open.push(() => {
    live.close();
    server.close();
    server.closeAllConnections();
  });
  const listen = async (lastId?: string): Promise<{ heard: string[]; status: number; leave: () => void }> => {
    const req = request({ port, path: '/live', headers: lastId === undefined ? {} : { 'last-event-id': lastId } });
    req.end();
    const [res] = (await once(req, 'response')) as [IncomingMessage];
    const heard: string[] = [];
    res.setEncoding('utf8');
    res.on('data', (chunk: string) =>
      heard.push(...[...chunk.matchAll(/^data: (.*)$/gm)].map((m) => (JSON.parse(m[1]!) as { asOf: string }).asOf)),
    );
    res.on('error', () => undefined);
    return { heard, status: res.statusCode ?? 0, leave: () => req.destroy() };
  };
  return {
    live,
    listen,
    come: (to: string): void => {
      asOf = to;
      live.told();
    },
  };
}

describe('telling open pages', () => {
  it('tells each that comes how far it is, and all of them what is new, once', async () => {
    const s = await serve();
    const [a, b] = [await s.listen(), await s.listen()];
    s.come('1 2');
    s.come('1 2');
    s.live.told();
    await expect
      .poll(() => [a.heard, b.heard])
      .toEqual([
        ['1 1', '1 2'],
        ['1 1', '1 2'],
      ]);
  });
  it('tells who comes back what was missed, and nothing when nothing was', async () => {
    const s = await serve('1 5');
    const missed = await s.listen('s 1 3');
    const same = await s.listen('s 1 5');
    await expect.poll(() => missed.heard).toEqual(['1 5']);
    expect(same.heard).toEqual([]);
  });
  it('lets go of who has gone, and takes no more than it can hold', async () => {
    const s = await serve();
    const pages = await Promise.all(Array.from({ length: 60 }, () => s.listen()));
    expect(s.live.open).toBe(60);
    expect((await s.listen()).status).toBe(503);
    pages[0]!.leave();
    await expect.poll(() => s.live.open).toBe(59);
    expect((await s.listen()).status).toBe(200);
  });
});
