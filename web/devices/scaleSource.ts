import type { ScaleReading } from '#core/queries';

/** A scale as a page sees it: what a cable or the air would have to do to take the stand-in's place. */
export interface ScaleSource {
  read(): Promise<ScaleReading>;
  tare(): Promise<ScaleReading>;
  /** Only a stand-in can be loaded by hand. */
  put?(grams: number): Promise<ScaleReading>;
}

async function ask(path: string, body?: unknown): Promise<ScaleReading> {
  const res = await fetch(
    `/api/devices/scale${path}`,
    body === undefined ? {} : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
  );
  if (!res.ok) throw new Error('The scale does not answer. Type the figure instead; nothing was changed.');
  return (await res.json()) as ScaleReading;
}

/** The stand-in scale that ships with Tambo. */
export const standIn: ScaleSource = {
  read: () => ask(''),
  tare: () => ask('/tare', {}),
  put: (grams) => ask('/put', { grams }),
};
