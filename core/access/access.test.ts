import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  countedTries,
  fingerprintWords,
  isHomeAddress,
  kitchenWords,
  plainAddress,
  sayBytes,
  sayHex,
  waitMs,
  type WrongTry,
} from './index.ts';

const hour = 3_600_000;

/** Tries as often as one is let, from these addresses, for so long: when each was made. */
function guesser(addresses: readonly string[], forMs: number): number[] {
  const tries: WrongTry[] = [];
  let at = 0;
  while (at < forMs) {
    const waits = addresses.map((a) => ({ a, wait: waitMs(tries, a, at) })).toSorted((x, y) => x.wait - y.wait);
    const [first] = waits;
    if (first!.wait === 0) {
      tries.push({ at, address: first!.a });
      at += 1;
    } else at += first!.wait;
  }
  return tries.map((t) => t.at);
}

const mostInAnHour = (times: readonly number[]): number =>
  Math.max(...times.map((t) => times.filter((u) => u >= t && u < t + hour).length));

describe('how fast one may guess', () => {
  it('from one address fewer than thirty tries in any hour, from a hundred as well', () => {
    expect(mostInAnHour(guesser(['10.0.0.9'], 6 * hour))).toBeLessThan(30);
    const many = Array.from({ length: 100 }, (_, i) => `10.0.1.${i}`);
    expect(mostInAnHour(guesser(many, 6 * hour))).toBeLessThan(30);
  });

  it('whoever mistypes twice does not wait; the third time is followed by a wait, each longer than the last', () => {
    const at = (n: number): number =>
      waitMs(
        Array.from({ length: n }, () => ({ at: 0, address: 'a' })),
        'a',
        0,
      );
    expect([at(1), at(2)]).toEqual([0, 0]);
    expect(at(3)).toBeGreaterThan(0);
    expect(at(4)).toBeGreaterThan(at(3));
  });

  it('another address is not kept waiting by a guesser until all together are too many', () => {
    const guesses = Array.from({ length: 8 }, (_, i) => ({ at: i, address: 'guesser' }));
    expect(waitMs(guesses, 'cook', 10)).toBe(0);
    expect(waitMs(guesses, 'guesser', 10)).toBeGreaterThan(0);
  });

  it('a wait said is a wait kept: once it is over one may try, and not a moment before', () => {
    const some = fc.array(fc.record({ at: fc.integer({ min: 0, max: 2 * hour }), address: fc.constantFrom('a', 'b', 'c') }), {
      maxLength: 40,
    });
    fc.assert(
      fc.property(some, (tries) => {
        const now = 2 * hour;
        const wait = waitMs(tries, 'a', now);
        expect(waitMs(tries, 'a', now + wait)).toBe(0);
        if (wait > 1) expect(waitMs(tries, 'a', now + wait - 1)).toBeGreaterThan(0);
        expect(wait).toBeLessThanOrEqual(hour);
      }),
    );
  });

  it('an hour later nothing counts', () => {
    expect(countedTries([{ at: 0, address: 'a' }], hour)).toEqual([]);
    expect(countedTries([{ at: 1, address: 'a' }], hour)).toHaveLength(1);
  });
});

describe('words', () => {
  it('256 different ones, none the beginning of another, all plain letters', () => {
    expect(new Set(kitchenWords).size).toBe(256);
    expect(kitchenWords.filter((w) => !/^[a-z]{3,11}$/.test(w))).toEqual([]);
    expect(kitchenWords.flatMap((a) => kitchenWords.filter((b) => a !== b && b.startsWith(a)))).toEqual([]);
  });

  it('bytes and words are one to one', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ maxLength: 40 }),
        (bytes) => void expect(sayBytes(bytes).map((w) => kitchenWords.indexOf(w))).toEqual([...bytes]),
      ),
    );
  });

  it('a fingerprint too short for eight words is refused', () => {
    expect(() => fingerprintWords(new Uint8Array(7))).toThrow(RangeError);
    expect(sayHex(new Uint8Array([0, 171]))).toBe('00:AB');
  });
});

describe('addresses of a home', () => {
  it.each([
    '10.1.2.3',
    '172.16.0.1',
    '172.31.255.255',
    '192.168.0.20',
    '169.254.3.4',
    '127.0.0.1',
    '::1',
    '::ffff:192.168.1.9',
    'fd12:3456::1',
    'fe80::1%eth0',
  ])('%s is one', (a) => expect(isHomeAddress(a)).toBe(true));
  it.each(['8.8.8.8', '172.32.0.1', '172.15.0.1', '192.169.0.1', '100.64.0.1', '2001:db8::1', '::ffff:203.0.113.4', '', 'localhost'])(
    '%s is none',
    (a) => expect(isHomeAddress(a)).toBe(false),
  );
  it('an address that came in by another protocol is itself', () => expect(plainAddress('::FFFF:10.0.0.1')).toBe('10.0.0.1'));
});
