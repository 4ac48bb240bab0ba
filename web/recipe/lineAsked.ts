/** A line that the address asks to have open, such as one left half changed. Read once: the address moves with every key that changes the size. */
export const lineAsked = (): string | undefined => new URLSearchParams(window.location.search).get('line') ?? undefined;
