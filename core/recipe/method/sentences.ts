import { stemOf } from './language.ts';

/** A word of a text, where it stands. */
export interface Token {
  word: string;
  stem: string;
  at: number;
  end: number;
  /** What stands between it and the word before: space, or signs that part. */
  before: 'space' | 'comma' | 'stop' | 'open' | 'close';
}

/** A sentence, a clause after a semicolon, or what stands in brackets and orders something. */
export interface Sentence {
  at: number;
  end: number;
  tokens: readonly Token[];
  /** It begins the paragraph's text, or follows a full stop. */
  full: boolean;
}

/** Numbers, bullets, times and “Step 2” in front of a paragraph: no text of the method. */
const front =
  /^\s*(?:(?:step|schritt|étape|paso|passo)\s*\d+\s*[:.)-]?|\d{1,2}[.):](?!\d)|\d{1,2}[:.]\d{2}\s*(?:h|uhr|am|pm)?\s*[-–:]?(?=\s)|[a-h]\)|[-–—•*▢☐●◦]+)\s*/iu;

/** Where the words of a paragraph begin, behind its number or bullet. @example textFrom('2) Brown it.') // 3 */
export function textFrom(text: string): number {
  let at = 0;
  for (let m = front.exec(text); m; m = front.exec(text.slice(at))) {
    if (m[0].length === 0) break;
    at += m[0].length;
  }
  return at;
}

const abbreviations = /(?:\b(?:min|mins|hr|hrs|std|ca|approx|tbsp|tsp|oz|lb|el|tl|etc|no|c|f|g|ml|kg|l|cl|e\.g|i\.e|z\.b|bzw))$/iu;

const unitAtEnd = /\d\s?(?:min|mins|hr|hrs|h|c|f|g|ml|kg|l)$/iu;
const goesOn = /^\s+(?:or|and|until|till|per|each|at|in|on|with|to|then|more|of|from|if|for|und|oder|bis|et|ou|y|o|e)\b/iu;

/** Words with their places; signs between them kept as what they part. */
export function tokensOf(text: string, from: number, to: number): Token[] {
  const tokens: Token[] = [];
  const word = /[\p{L}\p{N}¼-¾⅐-⅞]+(?:[-'’.,/](?=[\p{L}\p{N}])[\p{L}\p{N}¼-¾⅐-⅞]+)*/gu;
  word.lastIndex = from;
  let last = from;
  for (let m = word.exec(text); m && m.index < to; m = word.exec(text)) {
    // “l'olio”, “d’eau”: the article goes before
    const elided = /^(?:l|d|dell|nell|all|sull|dall|qu|j|n|s|c)['’](?=\p{L})/iu.exec(m[0])?.[0].length ?? 0;
    if (elided > 0) {
      m.index += elided;
      m[0] = m[0].slice(elided);
    }
    const between = text.slice(last, m.index);
    const parted = /[.;!?:\n]/.test(between)
      ? 'stop'
      : /\(/.test(between)
        ? 'open'
        : /\)/.test(between)
          ? 'close'
          : /[,–—]|\s-\s/.test(between)
            ? 'comma'
            : 'space';
    tokens.push({
      word: m[0].toLowerCase(),
      stem: stemOf(m[0]),
      at: m.index,
      end: m.index + m[0].length,
      before: tokens.length === 0 ? 'stop' : parted,
    });
    last = m.index + m[0].length;
  }
  return tokens;
}

/** Where a sentence ends: a stop that is no decimal point and follows no abbreviation in the middle of a sentence. */
function ends(text: string, i: number): boolean {
  const sign = text[i]!;
  if (sign === '\n' || sign === ';' || sign === '!' || sign === '?') return true;
  if (sign !== '.') return false;
  if (/\d/.test(text[i - 1] ?? '') && /\d/.test(text[i + 1] ?? '')) return false;
  const next = /^\S*\s*([^\s])/u.exec(text.slice(i + 1))?.[1] ?? '';
  if (!abbreviations.test(text.slice(Math.max(0, i - 7), i)) || next === '' || /\p{Lu}/u.test(next)) return true;
  // who begins no sentence with a capital ends one after “20 min.” too
  return unitAtEnd.test(text.slice(0, i)) && !/[.!?]\s+\p{Lu}/u.test(text) && !goesOn.test(text.slice(i + 1));
}

/**
 * Sentences of a paragraph, and of what a cook has parted, parted at full stops and semicolons, outside brackets.
 * @param breaks where a cook has said that a step begins
 * @example sentencesOf('Fry 2.5 min. Add the leeks; simmer.').length // 3
 */
export function sentencesOf(text: string, breaks: ReadonlySet<number> = new Set()): Sentence[] {
  const found: Sentence[] = [];
  let at = textFrom(text);
  let depth = 0;
  let full = true;
  const close = (end: number, sign: string): void => {
    const tokens = tokensOf(text, at, end);
    if (tokens.length > 0) found.push({ at, end, tokens, full });
    if (tokens.length > 0 || sign !== ';') full = sign !== ';';
    at = end;
  };
  for (let i = at; i < text.length; i += 1) {
    if (breaks.has(i) && i > at) close(i, '.');
    if (text[i] === '(') depth += 1;
    if (text[i] === ')') depth = Math.max(0, depth - 1);
    if ((depth === 0 || text[i] === '\n') && ends(text, i)) {
      depth = 0;
      close(i + 1, text[i]!);
    }
  }
  close(text.length, '.');
  return found;
}
