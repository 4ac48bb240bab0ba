/**
 * Works something out once for objects that never change, and again for others. The core keeps nothing between two questions: whoever
 * asks many brings a memo, and owns what it remembers (the server one for its database, a device one for its household).
 * @example memo([revision, finder], 'weighed', () => weighRecipe(revision, finder)) // weighed once, however often it is scaled
 */
export type Memo = <T>(from: readonly object[], name: string, make: () => T) => T;

/**
 * A memo that remembers nothing: everything is worked out when it is asked for.
 * @example scaleIn(kitchen, noMemo) // for a single question
 */
export const noMemo: Memo = (_from, _name, make) => make();

interface Branch {
  values: Map<string, unknown>;
  next: WeakMap<object, Branch>;
}

const branch = (): Branch => ({ values: new Map(), next: new WeakMap() });

/**
 * A memo that remembers for as long as the objects live that something was worked out from.
 * @example const memo = createMemo()
 */
export function createMemo(): Memo {
  const root = branch();
  return <T>(from: readonly object[], name: string, make: () => T): T => {
    let at = root;
    for (const key of from) {
      const next = at.next.get(key) ?? branch();
      at.next.set(key, next);
      at = next;
    }
    if (!at.values.has(name)) at.values.set(name, make());
    return at.values.get(name) as T;
  };
}
