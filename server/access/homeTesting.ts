import { request } from 'node:https';
import { request as plainRequest } from 'node:http';
import { isIP, type AddressInfo } from 'node:net';
import { once } from 'node:events';
import { createServer, type IncomingMessage, type RequestListener } from 'node:http';

/** What tests ask of a household that stands open: over its https listener, its plain one, or at the computer. */

export interface Said {
  status: number;
  headers: IncomingMessage['headers'];
  text: string;
  body: Record<string, unknown>;
}

export interface Ask {
  method?: string;
  headers?: Record<string, string>;
  body?: unknown;
  /** The household's authority, when the device trusts it. */
  ca?: string | undefined;
  cookie?: string | undefined;
}

/** Asks an address, whatever its name is: all names stand on loopback. */
export function ask(url: string, { method, headers = {}, body, ca, cookie }: Ask = {}): Promise<Said> {
  const at = new URL(url);
  const secure = at.protocol === 'https:';
  const bare = isIP(at.hostname) !== 0;
  const sent = body === undefined ? undefined : JSON.stringify(body);
  return new Promise((resolve, reject) => {
    const req = (secure ? request : plainRequest)(
      {
        host: bare ? at.hostname : '127.0.0.1',
        port: at.port,
        path: at.pathname + at.search,
        method: method ?? (sent === undefined ? 'GET' : 'POST'),
        agent: false,
        ...(secure && { ...(!bare && { servername: at.hostname }), ...(ca !== undefined && { ca }) }),
        headers: {
          host: at.host,
          ...(sent !== undefined && { 'content-type': 'application/json', 'content-length': String(Buffer.byteLength(sent)) }),
          ...(cookie !== undefined && { cookie }),
          ...headers,
        },
      },
      (res) => {
        const chunks: Buffer[] = [];
        res.on('data', (c: Buffer) => void chunks.push(c));
        res.on('error', reject);
        res.on('end', () => {
          const text = Buffer.concat(chunks).toString();
          let parsed: Record<string, unknown> = {};
          try {
            parsed = JSON.parse(text) as Record<string, unknown>;
          } catch {
            // not everything is JSON
          }
          resolve({ status: res.statusCode ?? 0, headers: res.headers, text, body: parsed });
        });
      },
    );
    req.on('error', reject);
    req.end(sent);
  });
}

/** The cookie that an answer sets, as it is sent back. */
export const cookieIn = (said: Said): string => said.headers['set-cookie']?.[0]?.split(';')[0] ?? '';

/** The computer's own listener. */
export async function hereFor(app: RequestListener): Promise<{ here: string; close: () => void }> {
  const server = createServer(app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  return {
    here: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    close: () => {
      server.close();
      server.closeAllConnections();
    },
  };
}
