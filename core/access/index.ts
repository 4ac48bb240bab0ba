export { fingerprintWords, kitchenWords, sayBytes, sayHex } from './words.ts';
export { countedTries, waitMs, type WrongTry } from './tries.ts';
export { isHomeAddress, localName, plainAddress } from './address.ts';
