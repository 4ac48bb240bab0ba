import { useCallback, useEffect, useState } from 'react';

/** One question to the small listener: its answer, or why there is none. */
export interface Asked<T> {
  data?: T;
  problem?: string;
}

const away = 'No connection to Tambo. Stay on the home network; it is tried again.';

export async function ask<T>(path: string, body?: object): Promise<Asked<T>> {
  try {
    const res = await fetch(path, body && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
    const said = (await res.json()) as T & { message?: string };
    return res.ok ? { data: said } : { problem: said.message ?? away };
  } catch {
    return { problem: away };
  }
}

/** The answer to a question, asked again when told to; what was shown last stays while there is no connection. */
export function useAsked<T>(path: string): Asked<T> & { again: () => void; put: (data: T) => void } {
  const [asked, setAsked] = useState<Asked<T>>({});
  const again = useCallback(() => {
    void ask<T>(path).then((got) => setAsked((before) => ({ ...before, ...got, ...(got.data && { problem: undefined as never }) })));
  }, [path]);
  useEffect(again, [again]);
  return { ...asked, again, put: (data) => setAsked({ data }) };
}
