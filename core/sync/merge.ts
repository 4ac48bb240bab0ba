/** One document changed in two places: what of both can stand together, and where it cannot. */
export interface Merged {
  /** The document with both sides' changes; where they cannot stand together it has what is `mine`. */
  document: unknown;
  /** Paths of what both sides changed, and differently: `dinnerAt`, `batches.b1.portions`. */
  apart: string[];
}

type Fields = Record<string, unknown>;
const isFields = (v: unknown): v is Fields => typeof v === 'object' && v !== null && !Array.isArray(v);

/** Records that are told apart by their id: lines, batches, zones, notes. */
const withIds = (v: unknown): v is ({ id: string } & Fields)[] =>
  Array.isArray(v) &&
  v.every((x) => isFields(x) && typeof x.id === 'string') &&
  new Set(v.map((x: unknown) => (x as { id: string }).id)).size === v.length;

const same = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => same(x, b[i]));
  if (!isFields(a) || !isFields(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((k) => same(a[k], b[k]));
};

const byId = (list: unknown): Map<string, Fields> => new Map(withIds(list) ? list.map((x) => [x.id, x]) : []);

const joined = (path: string, key: string): string => (path === '' ? key : `${path}.${key}`);

function merge(base: unknown, theirs: unknown, mine: unknown, path: string, apart: string[]): unknown {
  if (same(mine, theirs) || same(theirs, base)) return mine;
  if (same(mine, base)) return theirs;
  if (isFields(mine) && isFields(theirs)) {
    const before = isFields(base) ? base : {};
    const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
    return Object.fromEntries(
      keys
        .map((k) => [k, merge(before[k], theirs[k], mine[k], joined(path, k), apart)] as const)
        .filter(([, value]) => value !== undefined),
    );
  }
  if (withIds(mine) && withIds(theirs)) {
    const [b, t, m] = [byId(base), byId(theirs), byId(mine)];
    return [...new Set([...t.keys(), ...m.keys()])].flatMap((id) => {
      const value = merge(b.get(id), t.get(id), m.get(id), joined(path, id), apart);
      return value === undefined ? [] : [value];
    });
  }
  apart.push(path === '' ? '(whole)' : path);
  return mine;
}

/**
 * Two changes of one document, made from the same state of it, put together field by field; records with ids are told apart by them (decision 58).
 * Laws: where one side changed nothing, the other stands; what stands apart is the same whichever side is called mine.
 * @param base the state both were made from; undefined when nobody knows it
 * @example mergeDocuments({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 3 }) // { document: { a: 2, b: 3 }, apart: [] }
 */
export function mergeDocuments(base: unknown, theirs: unknown, mine: unknown): Merged {
  const apart: string[] = [];
  return { document: merge(base, theirs, mine, '', apart), apart };
}

/** One field that two documents have differently. */
export interface Difference {
  path: string;
  /** The same path for people: a record is called by its name. */
  names: string[];
  here: unknown;
  mine: unknown;
}

/** What a record is called; undefined when it has no name of its own. */
export type NameOf = (record: Readonly<Record<string, unknown>>) => string | undefined;

const ownName: NameOf = (record) => {
  const name = record.name ?? record.text ?? record.written;
  return typeof name === 'string' && name !== '' ? name : undefined;
};

function differing(here: unknown, mine: unknown, path: string, names: string[], nameOf: NameOf): Difference[] {
  if (same(here, mine)) return [];
  const called = (record: Fields | undefined): string | undefined => record && (ownName(record) ?? nameOf(record));
  if (isFields(here) && isFields(mine))
    return [...new Set([...Object.keys(here), ...Object.keys(mine)])].flatMap((k) =>
      differing(here[k], mine[k], joined(path, k), [...names, k], nameOf),
    );
  if (withIds(here) && withIds(mine)) {
    const [h, m] = [byId(here), byId(mine)];
    return [...new Set([...h.keys(), ...m.keys()])].flatMap((id) =>
      differing(h.get(id), m.get(id), joined(path, id), [...names, called(m.get(id)) ?? called(h.get(id)) ?? 'one'], nameOf),
    );
  }
  return [{ path: path === '' ? '(whole)' : path, names, here, mine }];
}

/**
 * Where two documents differ, field by field.
 * @param nameOf what records without a name of their own are called, such as a dish of a session
 * @example differencesOf({ name: 'Osk' }, { name: 'Oskar' }) // [{ path: 'name', names: ['name'], here: 'Osk', mine: 'Oskar' }]
 */
export const differencesOf = (here: unknown, mine: unknown, nameOf: NameOf = () => undefined): Difference[] =>
  differing(here, mine, '', [], nameOf);
