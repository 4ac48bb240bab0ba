import { useEffect, useState } from 'react';
import { device } from './device.ts';

/** Codes kept on this device, so that packs can be filled without a connection (DECISIONS 1). */
const keep = 200;
const refillBelow = 100;
const keyOf = (storeId: string): string => `tambo.codes.${storeId}`;

function codesHere(storeId: string): string[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(keyOf(storeId)) ?? '[]');
    return Array.isArray(list) ? list.filter((c): c is string => typeof c === 'string') : [];
  } catch {
    return [];
  }
}

const put = (storeId: string, codes: readonly string[]): void => {
  try {
    localStorage.setItem(keyOf(storeId), JSON.stringify(codes));
  } catch {
    // without a store the next page load asks for new ones
  }
};

async function refill(count: number): Promise<string[]> {
  const res = await fetch('/api/codes', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ count, device }),
  });
  if (!res.ok) throw new Error('No codes were given');
  return ((await res.json()) as { codes: string[] }).codes;
}

/** Sees to it that codes are at hand for when there is no connection. */
export async function stockCodes(storeId: string): Promise<void> {
  const left = codesHere(storeId).length;
  if (left < refillBelow) put(storeId, [...codesHere(storeId), ...(await refill(keep - left))]);
}

/**
 * Takes so many unused codes; asks the server for more when few are left.
 * @param shown the code of the preview, taken first when it is still free
 * @returns undefined when too few are kept here and the server does not answer
 */
export async function takeCodes(storeId: string, count: number, shown?: string): Promise<string[] | undefined> {
  let codes = codesHere(storeId);
  // the code that a preview showed is the code that is printed
  if (shown !== undefined && codes.includes(shown)) codes = [shown, ...codes.filter((c) => c !== shown)];
  if (codes.length < count) {
    try {
      codes = [...codes, ...(await refill(Math.max(count - codes.length, keep - codes.length)))];
    } catch {
      return undefined;
    }
  }
  const taken = codes.slice(0, count);
  const left = codes.slice(count);
  put(storeId, left);
  void stockCodes(storeId).catch(() => undefined);
  return taken;
}

/** The code that the next filled pack gets; asks for a store of codes when none is kept here yet. */
export function useNextCode(storeId: string | undefined, packsSoFar: number): string | undefined {
  const [code, setCode] = useState<string>();
  useEffect(() => {
    if (!storeId) return;
    const [first] = codesHere(storeId);
    if (first) {
      setCode(first);
      return;
    }
    void stockCodes(storeId).then(
      () => setCode(codesHere(storeId)[0]),
      () => undefined,
    );
  }, [storeId, packsSoFar]);
  return code;
}
