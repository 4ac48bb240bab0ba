/** Raise when a page of before could not read it: a device then keeps the household anew. In a file of its own, since every page asks for it. */
export const snapshotVersion = 5;
