import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { sayBytes } from '#core/access';
import type { Access } from './accessFile.ts';

export type Hashed = NonNullable<Access['passphrase']>;

/** 128 MB and some tenths of a second for each try (OWASP password storage: N = 2^17, r = 8, p = 1). */
const cost = 17;
const block = 8;
const keyBytes = 32;
/** Words of a passphrase that Tambo makes up: 40 bits, millions of years at twenty tries an hour. */
const words = 5;
/** What the estimate of guesses has to reach, of 4: "safely unguessable" where tries are slowed. */
const leastScore = 3;
const leastRest = 8;

/** The same letters are the same passphrase however a keyboard puts them together. */
const plain = (passphrase: string): string => passphrase.normalize('NFKC');

const derive = (passphrase: string, salt: Buffer, n: number): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const options = { N: 2 ** n, r: block, p: 1, maxmem: 2 ** n * block * 129 };
    scrypt(plain(passphrase), salt, keyBytes, options, (error, key) => (error ? reject(error) : resolve(key)));
  });

export async function hashOf(passphrase: string): Promise<Hashed> {
  const salt = randomBytes(16);
  return { salt: salt.toString('base64'), hash: (await derive(passphrase, salt, cost)).toString('base64'), cost };
}

export async function isRight(passphrase: string, kept: Hashed): Promise<boolean> {
  const key = await derive(passphrase, Buffer.from(kept.salt, 'base64'), kept.cost);
  return timingSafeEqual(key, Buffer.from(kept.hash, 'base64'));
}

/** Five words that nobody has chosen. */
export const suggested = (): string => sayBytes(randomBytes(words)).join(' ');

/** Why a passphrase would not do; undefined when it does. Known passwords and what stands near to hand are guessed first. */
export async function weakness(passphrase: string, near: readonly string[]): Promise<string | undefined> {
  const { ZxcvbnFactory } = await import('@zxcvbn-ts/core');
  const common = await import('@zxcvbn-ts/language-common');
  const factory = new ZxcvbnFactory({ dictionary: common.dictionary, graphs: common.adjacencyGraphs });
  const { score } = factory.check(plain(passphrase), [...near]);
  // what is left of it without the household's own words has to be worth something
  const rest = near
    .reduce((text, word) => text.replaceAll(word.toLowerCase(), ''), plain(passphrase).toLowerCase())
    .replace(/[\s\W_]/g, '');
  return score < leastScore || rest.length < leastRest
    ? 'It would be guessed early: it is much used, or made of what stands near. Take more words, or five that Tambo makes up.'
    : undefined;
}

/** A secret that a device carries, and what is kept of it. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('base64url');
