/** What puts an authority among those that a browser in a test trusts. */
export function findCertutil(): string | undefined;
/** The browser that the tests, pictures and benches run in. */
export function findChromium(): string | undefined;
