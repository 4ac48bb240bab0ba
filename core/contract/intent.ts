import { sha256 } from '@noble/hashes/sha2.js';
import { utf8ToBytes } from '@noble/hashes/utils.js';

/** 32 signs, so that five bits are one of them. */
const signs = '0123456789abcdefghjkmnpqrstvwxyz';
/** 130 bits: no two intents of a household ever share an id. */
const length = 26;

/**
 * The id of what somebody meant to do: the same parts give the same id, from whatever tap, retry or tab (decision 46).
 * @example intentId('phone', 'eaten', 'pack7', seen) === intentId('phone', 'eaten', 'pack7', seen)
 */
export function intentId(...parts: readonly string[]): string {
  // lengths stand before the parts, so that ('ab', 'c') and ('a', 'bc') are two intents
  const bytes = sha256(utf8ToBytes(parts.map((p) => `${p.length}:${p}`).join('')));
  let id = '';
  let held = 0;
  let bits = 0;
  for (const byte of bytes) {
    held = ((held << 8) | byte) & 0xfff;
    bits += 8;
    while (bits >= 5 && id.length < length) {
      id += signs[(held >> (bits - 5)) & 31] ?? '0';
      bits -= 5;
    }
  }
  return id;
}

const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([, v]) => v !== undefined)
            .toSorted(([a], [b]) => (a < b ? -1 : 1))
            .map(([k, v]) => [k, sorted(v)]),
        )
      : value;

/**
 * The state of a document: the same content gives the same id, in whatever order its fields stand (decision 58).
 * @example stateOf({ a: 1, b: 2 }) === stateOf({ b: 2, a: 1 })
 */
export const stateOf = (document: unknown): string => intentId('state', JSON.stringify(sorted(document)));
