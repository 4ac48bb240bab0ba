/** A text with who it is: a line or a step of a recipe being written. */
interface Text {
  id: string;
  text: string;
}

/** Texts after an edit, and where the writing goes on: in which, behind how many letters. */
export interface Edited<T extends Text> {
  texts: T[];
  at: { id: string; caret: number } | undefined;
}

/** What belongs to a text as it was does not go with a half of it. */
const retold = <T extends Text>(item: T, text: string): T => ({ ...item, text });

/**
 * Enter: what stands behind the caret becomes a text of its own below.
 * @param make gives the new text
 * @example split([{ id: 'a', text: 'salt pepper' }], 'a', 5, (text) => ({ id: 'b', text })).texts.map((t) => t.text) // ['salt', 'pepper']
 */
export function split<T extends Text>(texts: readonly T[], id: string, caret: number, make: (text: string) => T): Edited<T> {
  const i = texts.findIndex((t) => t.id === id);
  const item = texts[i];
  if (!item) return { texts: [...texts], at: undefined };
  const [before, after] = [item.text.slice(0, caret).trimEnd(), item.text.slice(caret).trimStart()];
  // at the front of a text the new one goes above, and the text stays who it is
  if (before === '' && after !== '') {
    const above = make('');
    return { texts: [...texts.slice(0, i), above, ...texts.slice(i)], at: { id, caret: 0 } };
  }
  const below = make(after);
  return {
    texts: [...texts.slice(0, i), before === item.text ? item : retold(item, before), below, ...texts.slice(i + 1)],
    at: { id: below.id, caret: 0 },
  };
}

/**
 * Backspace at the front: the text joins the one above; an empty one goes.
 * @example join([{ id: 'a', text: '2' }, { id: 'b', text: 'eggs' }], 'b').texts.map((t) => t.text) // ['2 eggs']
 */
export function join<T extends Text>(texts: readonly T[], id: string): Edited<T> {
  const i = texts.findIndex((t) => t.id === id);
  const [above, item] = [texts[i - 1], texts[i]];
  if (!item || !above) return { texts: [...texts], at: item && { id, caret: 0 } };
  if (above.text === '' && item.text !== '') return { texts: texts.filter((t) => t.id !== above.id), at: { id, caret: 0 } };
  const text = item.text === '' ? above.text : `${above.text} ${item.text}`;
  return {
    texts: [...texts.slice(0, i - 1), text === above.text ? above : retold(above, text), ...texts.slice(i + 1)],
    at: { id: above.id, caret: above.text.length + (item.text === '' ? 0 : 1) },
  };
}

/** A text moved by so many places; none falls off an end. @example move([{ id: 'a', text: '' }, { id: 'b', text: '' }], 'a', 1).map((t) => t.id) // ['b', 'a'] */
export function move<T extends Text>(texts: readonly T[], id: string, by: number): T[] {
  const i = texts.findIndex((t) => t.id === id);
  const to = Math.max(0, Math.min(texts.length - 1, i + by));
  const item = texts[i];
  if (!item || to === i) return [...texts];
  const rest = texts.filter((t) => t.id !== id);
  return [...rest.slice(0, to), item, ...rest.slice(to)];
}

/**
 * Many lines pasted into one: the first joins what stands before the caret, the last what stands behind it.
 * @example paste([{ id: 'a', text: '' }], 'a', 0, ['2 leeks', 'salt'], (text) => ({ id: text, text })).texts.length // 2
 */
export function paste<T extends Text>(
  texts: readonly T[],
  id: string,
  caret: number,
  lines: readonly string[],
  make: (text: string) => T,
): Edited<T> {
  const i = texts.findIndex((t) => t.id === id);
  const item = texts[i];
  const told = lines.map((l) => l.trim()).filter(Boolean);
  if (!item || told.length === 0) return { texts: [...texts], at: item && { id, caret } };
  const [before, after] = [item.text.slice(0, caret), item.text.slice(caret)];
  const whole = told.map((line, n) => `${n === 0 ? before : ''}${line}${n === told.length - 1 ? after : ''}`);
  const more = whole.slice(1).map(make);
  const last = more.at(-1);
  return {
    texts: [...texts.slice(0, i), retold(item, whole[0] ?? ''), ...more, ...texts.slice(i + 1)],
    at: last ? { id: last.id, caret: last.text.length - after.length } : { id, caret: (whole[0] ?? '').length - after.length },
  };
}
