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

/** What stands in a saved page's scripts of JSON-LD, in their order. */
export function ldBlocks(page: string): string[] {
  const blocks: string[] = [];
  let open = false;
  const parser = new Parser({
    onopentag(name, attributes) {
      open = name === 'script' && attributes.type?.trim().toLowerCase() === 'application/ld+json';
      if (open) blocks.push('');
    },
    ontext(part) {
      if (open) blocks[blocks.length - 1] += part;
    },
    onclosetag(name) {
      if (name === 'script') open = false;
    },
  });
  parser.end(page);
  return blocks.map((b) => b.trim().replace(/^<!--/, '').replace(/-->$/, '').trim());
}
