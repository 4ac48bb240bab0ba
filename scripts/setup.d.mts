/** The browser that the tests, pictures and benches run in. */
export function findChromium(): string | undefined;
