import { Parser } from 'htmlparser2';

/** Ends of lines in a page's text. */
const breaks = new Set(['br', 'p', 'li', 'div', 'tr', 'h1', 'h2', 'h3', 'h4']);
/** What stands in these is not read by people. */
const unread = new Set(['script', 'style', 'template']);

/**
 * Plain text of a value that may carry tags and entities, one line a paragraph.
 * @example textOfMarkup('<p>Chop &amp; fry</p>') // 'Chop & fry'
 */
export function textOfMarkup(markup: string): string {
  if (!/[<&]/.test(markup)) return tidy(markup);
  let text = '';
  let hidden = 0;
  const parser = new Parser({
    onopentagname(name) {
      if (unread.has(name)) hidden += 1;
      text += breaks.has(name) ? '\n' : ' ';
    },
    ontext(part) {
      if (hidden === 0) text += part;
    },
    onclosetag(name) {
      if (unread.has(name)) hidden -= 1;
      text += breaks.has(name) ? '\n' : ' ';
    },
  });
  parser.end(markup);
  return tidy(text);
}

/** Runs of spaces become one, lines without words go. */
const tidy = (text: string): string =>
  text
    .split('\n')
    .map((line) =>
      line
        .split(/[ \t\r\f\v\u00A0]/)
        .filter(Boolean)
        .join(' '),
    )
    .filter(Boolean)
    .join('\n');

/** Parts of a page that hold no recipe. */
const aside = new Set(['nav', 'footer', 'aside', 'noscript', 'form', 'button', 'select', 'svg', 'iframe', 'head', 'dialog', ...unread]);
const headings = new Set(['h1', 'h2', 'h3', 'h4', 'h5', 'h6']);

/** What stands in a saved page. */
export interface SavedPage {
  /** Its scripts of JSON-LD, in their order. */
  blocks: string[];
  /** Recipes marked up in the page itself: values by the name of their property, in their order. */
  marked: Map<string, string[]>[];
  title: string;
  /** What people read of it, headings with a mark before them. */
  text: string;
}

/** Deeper than any page; what lies below is not looked at. */
const mostDeep = 2000;
const pieceChars = 32_768;

interface Capture {
  property: string;
  depth: number;
  text: string;
  recipe: Map<string, string[]>;
}

/**
 * Takes a saved page apart in one go, without ever running anything of it.
 * @example readPage('<h1>Soup</h1><p>4 leeks</p>').text // '# Soup\n4 leeks'
 */
export function readPage(page: string): SavedPage {
  const found: SavedPage = { blocks: [], marked: [], title: '', text: '' };
  const parts: string[] = [];
  let [depth, hidden, inBlock, inTitle] = [0, 0, false, false];
  const open: { recipe: Map<string, string[]>; depth: number }[] = [];
  const captures: Capture[] = [];
  const say = (text: string): void => {
    if (hidden === 0) parts.push(text);
    for (const c of captures) c.text += text;
  };
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        depth += 1;
        if (name === 'script' && /^application\/(?:ld\+)?json/i.test(attributes.type?.trim() ?? '')) {
          inBlock = /ld\+json/i.test(attributes.type ?? '');
          if (inBlock) found.blocks.push('');
        }
        inTitle ||= name === 'title';
        if (aside.has(name)) hidden += 1;
        if (/schema\.org\/Recipe/i.test(attributes.itemtype ?? '')) {
          const recipe = new Map<string, string[]>();
          found.marked.push(recipe);
          open.push({ recipe, depth });
        }
        const recipe = open.at(-1)?.recipe;
        if (recipe && attributes.itemprop) {
          const value = attributes.content ?? attributes.datetime;
          if (value !== undefined) recipe.set(attributes.itemprop, [...(recipe.get(attributes.itemprop) ?? []), value]);
          else captures.push({ property: attributes.itemprop, depth, text: '', recipe });
        }
        if (breaks.has(name) || headings.has(name)) say('\n');
        else if (name === 'td' || name === 'th') say(' ');
        // marks for who reads the whole, none within a marked value
        if (hidden === 0 && headings.has(name)) parts.push(`${'#'.repeat(Number(name.slice(1)))} `);
        if (hidden === 0 && name === 'li') parts.push('• ');
      },
      ontext(part) {
        if (inBlock) found.blocks[found.blocks.length - 1] += part;
        if (inTitle && found.title.length < 300) found.title += part;
        say(part);
      },
      onclosetag(name) {
        if (name === 'script') inBlock = false;
        if (name === 'title') inTitle = false;
        if (breaks.has(name) || headings.has(name)) say('\n');
        for (let c = captures.at(-1); c && c.depth >= depth; c = captures.at(-1)) {
          captures.pop();
          const text = tidy(c.text);
          if (text) c.recipe.set(c.property, [...(c.recipe.get(c.property) ?? []), text]);
        }
        if (open.at(-1)?.depth === depth) open.pop();
        if (aside.has(name)) hidden -= 1;
        depth -= 1;
      },
    },
    { decodeEntities: true },
  );
  // in pieces, so that a page of nothing but open tags is given up before it costs
  for (let at = 0; at < page.length && depth < mostDeep; at += pieceChars) parser.write(page.slice(at, at + pieceChars));
  parser.end();
  return { ...found, title: tidy(found.title), text: tidy(parts.join('')) };
}

/** What stands in a saved page's scripts of JSON-LD, in their order. @example ldBlocks(page)[0] // '{"@type":"Recipe"}' */
export const ldBlocks = (page: string): string[] =>
  readPage(page).blocks.map((b) => b.trim().replace(/^<!--/, '').replace(/-->$/, '').trim());
