/** Signs of a pack's code: 2-9 and A-Z without I, L, O: 31 of them, so that the check sign catches every single slip. */
export const codeSigns = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';

const valueOf = (sign: string): number => codeSigns.indexOf(sign);

/** The check sign of four: the sum of i times each value, modulo 31. */
function checkSign(four: string): string {
  const sum = [...four].reduce((s, sign, i) => s + (i + 1) * valueOf(sign), 0);
  return codeSigns[sum % 31] ?? '2';
}

/**
 * The code of a number from 0 to 31^4 - 1: four signs and a check sign.
 * @throws RangeError outside that range
 * @example codeFrom(7) // the code of the seventh pack, with its check sign
 */
export function codeFrom(n: number): string {
  if (!Number.isInteger(n) || n < 0 || n >= 31 ** 4)
    throw new RangeError(`codeFrom: expected a whole number from 0 to ${31 ** 4 - 1}, got ${n}`);
  let rest = n;
  let four = '';
  for (let i = 0; i < 4; i += 1) {
    four = (codeSigns[rest % 31] ?? '2') + four;
    rest = Math.floor(rest / 31);
  }
  return four + checkSign(four);
}

/**
 * Whether these are the signs of a code, the check sign among them.
 * @example isCode('K4MD9') // false: the last sign does not fit the others
 */
export const isCode = (code: string): boolean => /^[2-9A-HJKMNP-Z]{5}$/.test(code) && checkSign(code.slice(0, 4)) === code[4];

export type TypedCode =
  | { kind: 'exact'; code: string }
  | { kind: 'solved'; code: string; offers: string[] }
  | { kind: 'wrong'; typed: string; near: string[] }
  | { kind: 'notACode'; typed: string };

const oneOff = (a: string, b: string): boolean => a.length === b.length && [...a].filter((sign, i) => sign !== b[i]).length === 1;

/**
 * Reads a code as a cook types it: small letters and spaces are fine; one impossible sign (0, O, 1, I, L) is solved from the check sign and offered;
 * a wrong check lists known codes that are one sign away (DECISIONS 31).
 * @example readCode('2229x', ['2229X']) // { kind: 'exact', code: '2229X' }
 */
export function readCode(typed: string, known: readonly string[]): TypedCode {
  const text = typed.toUpperCase().replace(/[\s-]/g, '');
  if (isCode(text)) return { kind: 'exact', code: text };
  if (text.length !== 5 || /[^0-9A-Z]/.test(text)) return { kind: 'notACode', typed };
  const impossible = [...text].flatMap((sign, i) => (codeSigns.includes(sign) ? [] : [i]));
  if (impossible.length === 1) {
    const at = impossible[0] ?? 0;
    const offers = [...codeSigns].map((sign) => text.slice(0, at) + sign + text.slice(at + 1)).filter(isCode);
    const stored = offers.filter((o) => known.includes(o));
    const best = stored[0] ?? offers[0];
    if (best) return { kind: 'solved', code: best, offers: stored.length > 0 ? stored : offers };
  }
  return { kind: 'wrong', typed, near: known.filter((k) => oneOff(k, text)) };
}

/**
 * What a pack's QR holds: the household's address when one is set, else a path.
 * @example codeLink('K4MD8', 'https://kitchen.home') // 'https://kitchen.home/p/K4MD8'
 */
export const codeLink = (code: string, address: string | undefined): string => `${(address ?? '').replace(/\/$/, '')}/p/${code}`;

/**
 * The code that a QR says: a pack's link at whatever address it was printed for, or the bare code; undefined for any other QR.
 * @example scannedCode('https://kitchen.home/p/2229X') // '2229X'
 */
export function scannedCode(text: string): string | undefined {
  const code = (/\/p\/([^/?#\s]+)\/?(?:[?#]|$)/.exec(text)?.[1] ?? text).trim().toUpperCase();
  return isCode(code) ? code : undefined;
}
