/** Ranges that belong to homes and to the computer itself: RFC 1918, 3927, 4193, 4291 and loopback. */
const homeFour = [/^10\./, /^192\.168\./, /^172\.(1[6-9]|2\d|3[01])\./, /^169\.254\./, /^127\./];
const homeSix = [/^f[cd][0-9a-f]{2}:/, /^fe[89ab][0-9a-f]:/, /^::1$/];

/**
 * An address as it is compared: without the zone of a link, and an IPv4 address that came in by IPv6 as itself.
 * @example plainAddress('::ffff:192.168.1.7') // '192.168.1.7'
 */
export const plainAddress = (address: string): string =>
  address
    .toLowerCase()
    .replace(/%.*$/, '')
    .replace(/^::ffff:(?=\d+\.)/, '');

/**
 * Whether an address is one of a home's own network; the home listener speaks to no other.
 * @example isHomeAddress('192.168.1.7') // true
 * @example isHomeAddress('203.0.113.7') // false
 */
export function isHomeAddress(address: string): boolean {
  const a = plainAddress(address);
  return (a.includes(':') ? homeSix : homeFour).some((r) => r.test(a));
}

/**
 * The name a household is found by on its network.
 * @example localName('our-kitchen') // 'our-kitchen.local'
 */
export const localName = (name: string): string => `${name}.local`;
