import { describe, expect, it } from 'vitest';
import { comeInSchema, homeNameSchema, passphraseSchema } from './index.ts';

describe('what the door takes', () => {
  it('a passphrase of 12 to 128, of any letters', () => {
    for (const good of ['a'.repeat(12), 'a'.repeat(128), ' twelve blanks ', 'ключ от кухни', '🥕'.repeat(12)])
      expect(passphraseSchema.safeParse(good).success, good).toBe(true);
    for (const bad of ['', 'a'.repeat(11), '🥕'.repeat(11), 'a'.repeat(129), 12, null])
      expect(passphraseSchema.safeParse(bad).success).toBe(false);
  });

  it('a name that every device on the network reads the same', () => {
    for (const good of ['our-kitchen', 'abc', 'k2', 'a1-b2-c3'].filter((n) => n.length > 2))
      expect(homeNameSchema.safeParse(good).success, good).toBe(true);
    for (const bad of ['', 'ab', 'Kitchen', 'küche', 'a b c', '-abc', 'abc-', 'a--b', '1abc', 'a.b', 'a'.repeat(32), 'xn--kche'])
      expect(homeNameSchema.safeParse(bad).success, bad).toBe(false);
  });

  it('of a device that asks, its name without blanks round it, and nothing endless', () => {
    const asked = { passphrase: '', device: 'd1', name: '  phone  ', kind: 'phone' };
    expect(comeInSchema.parse(asked).name).toBe('phone');
    for (const bad of [
      { ...asked, name: ' ' },
      { ...asked, name: 'x'.repeat(41) },
      { ...asked, kind: 'fridge' },
      { ...asked, passphrase: 'x'.repeat(1001) },
      { ...asked, device: 'a b' },
    ])
      expect(comeInSchema.safeParse(bad).success).toBe(false);
  });
});
