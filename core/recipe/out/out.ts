import Papa from 'papaparse';
import type { Kept, Revision, Writing } from '#core/contract';
import { writingOf, type ReadingContext } from '../write/index.ts';

/** A recipe as it goes out: its texts, and beside them what has no words of its own. */
interface Outgoing {
  writing: Writing;
  times: NonNullable<Revision['times']>;
  kept: Kept;
}

function outgoing(revision: Revision, ctx: ReadingContext): Outgoing {
  const writing = writingOf(revision, ctx);
  const { lines, steps, kind, serving, lifeId, ownReheat, ownThaw, note, base } = writing;
  const { id: _id, recipeId: _recipeId, madeAt: _madeAt, ...others } = base ?? {};
  return {
    writing,
    times: revision.times ?? {},
    kept: { lines, steps, fields: { ...(kind && { kind }), serving, ...(lifeId && { lifeId }), ownReheat, ownThaw, note, base: others } },
  };
}

const duration = (min: number | undefined): string | undefined => (min === undefined ? undefined : `PT${Math.round(min)}M`);
const oneLine = (text: string): string => text.replace(/\s*\n\s*/g, ' ').trim();

/**
 * Recipes as JSON-LD of schema.org, one node or a graph; what schema.org has no word for stands under `tambo` and is read back.
 * @example JSON.parse(toJsonLd([revision], ctx))['@type'] // 'Recipe'
 */
export function toJsonLd(revisions: readonly Revision[], ctx: ReadingContext): string {
  const nodes = revisions.map((revision) => {
    const { writing, times, kept } = outgoing(revision, ctx);
    return {
      '@type': 'Recipe',
      name: writing.name,
      recipeYield: writing.makes,
      recipeIngredient: writing.lines.map((l) => l.text),
      recipeInstructions: writing.steps.map((s) => ({ '@type': 'HowToStep', text: s.text })),
      ...(writing.tags && { keywords: writing.tags }),
      ...(writing.note && { description: writing.note }),
      ...(writing.source && { isBasedOn: writing.source }),
      ...(times.prepMin !== undefined && { prepTime: duration(times.prepMin) }),
      ...(times.cookMin !== undefined && { cookTime: duration(times.cookMin) }),
      ...(times.totalMin !== undefined && { totalTime: duration(times.totalMin) }),
      tambo: kept,
    };
  });
  const context = { '@context': 'https://schema.org' };
  return JSON.stringify(nodes.length === 1 ? { ...context, ...nodes[0] } : { ...context, '@graph': nodes }, null, 2);
}

/** A comment of Markdown may not hold two dashes in a row; in JSON they stand in texts only. */
const commented = (kept: Kept): string =>
  JSON.stringify(kept)
    .replace(/-(?=-)/g, '\\u002d')
    .replace(/>/g, '\\u003e');

/**
 * Recipes as Markdown: a heading each, lists of ingredients and steps, notes.
 * @example toMarkdown([revision], ctx).split('\n')[0] // '# Leek soup'
 */
export function toMarkdown(revisions: readonly Revision[], ctx: ReadingContext): string {
  return revisions
    .map((revision) => {
      const { writing, times, kept } = outgoing(revision, ctx);
      const facts = [
        writing.makes && `Makes: ${oneLine(writing.makes)}`,
        times.prepMin !== undefined && `Prep: ${times.prepMin} min`,
        times.cookMin !== undefined && `Cook: ${times.cookMin} min`,
        times.totalMin !== undefined && `Total time: ${times.totalMin} min`,
        writing.tags && `Tags: ${oneLine(writing.tags)}`,
        writing.source && `Source: ${oneLine(writing.source)}`,
      ].filter(Boolean);
      return [
        `# ${oneLine(writing.name)}`,
        facts.join('  \n'),
        '## Ingredients',
        writing.lines.map((l) => `- ${oneLine(l.text)}`).join('\n'),
        '## Method',
        writing.steps.map((s, i) => `${i + 1}. ${oneLine(s.text)}`).join('\n'),
        ...(writing.note ? ['## Notes', writing.note] : []),
        `<!-- tambo ${commented(kept)} -->`,
      ]
        .filter(Boolean)
        .join('\n\n');
    })
    .join('\n\n');
}

/**
 * Recipes as a table for spreadsheets, a row each; lists stand in their cell line by line.
 * @example toCsv([revision], ctx).split('\n')[0] // 'name,makes,…'
 */
export function toCsv(revisions: readonly Revision[], ctx: ReadingContext): string {
  const rows = revisions.map((revision) => {
    const { writing, times, kept } = outgoing(revision, ctx);
    return {
      name: oneLine(writing.name),
      makes: oneLine(writing.makes),
      ingredients: writing.lines.map((l) => oneLine(l.text)).join('\n'),
      method: writing.steps.map((s) => oneLine(s.text)).join('\n'),
      notes: writing.note,
      tags: writing.tags,
      source: oneLine(writing.source),
      prep: times.prepMin ?? '',
      cook: times.cookMin ?? '',
      total: times.totalMin ?? '',
      tambo: JSON.stringify(kept),
    };
  });
  // a cell that begins like a formula is kept from being one
  return Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' });
}
