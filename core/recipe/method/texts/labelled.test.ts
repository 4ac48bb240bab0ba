import { describe, expect, it } from 'vitest';
import { sealedMethods } from './sealed.methods.ts';

const pairs = (text: string, sign: string): [number, number][] =>
  text
    .split(' ')
    .filter(Boolean)
    .map((p) => p.split(sign).map(Number) as [number, number]);

describe('labels of methods', () => {
  it.each(sealedMethods.map((m) => [m.name, m] as const))(
    '%s: each step is found once in the text, and the order holds together',
    (_, m) => {
      let at = -1;
      for (const step of m.steps) {
        expect(m.text.split(step.at), step.at).toHaveLength(2);
        // steps are numbered as they are told
        expect(m.text.indexOf(step.at), step.at).toBeGreaterThan(at);
        at = m.text.indexOf(step.at);
      }
      const letters = m.lines.map((_l, i) => 'abcdefghijklmnop'[i]!);
      const taken = m.steps.flatMap((s) => (s.takes ?? '').split(' ').filter(Boolean)).map((t) => t.split(':'));
      for (const [letter, share] of taken) {
        expect(letters).toContain(letter);
        if (share !== undefined && share !== '?') expect(Number(share)).toBeLessThan(1);
      }
      for (const letter of letters) {
        const shares = taken.filter(([l]) => l === letter).map(([, s]) => (s === undefined ? 1 : Number(s)));
        expect(
          shares.reduce((a, b) => a + b, 0),
          letter,
        ).toBeLessThanOrEqual(1.01);
        // what no step takes is a finding
        if (shares.length === 0) expect(m.findings ?? '').toContain(`unused:${letter}`);
      }
      // everything that must come before something, through and through
      const after = new Map<number, Set<number>>();
      const close = (from: number, seen = new Set<number>()): Set<number> => {
        for (const [a, b] of pairs(m.before, '<'))
          if (a === from && !seen.has(b)) {
            seen.add(b);
            close(b, seen);
          }
        return seen;
      };
      m.steps.forEach((_s, i) => after.set(i, close(i)));
      for (const [i, later] of after) expect(later.has(i)).toBe(false);
      for (const [a, b] of pairs(m.free, '|')) {
        expect(after.get(a)?.has(b), `${a}|${b}`).toBe(false);
        expect(after.get(b)?.has(a), `${a}|${b}`).toBe(false);
      }
    },
  );
});
