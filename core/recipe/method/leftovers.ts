import { workFacts } from './classes.ts';
import { mentionsIn } from './foods.ts';
import { readies, type Context } from './held.ts';
import { slipOf, stemOf } from './language.ts';
import { isProduct } from './results.ts';

/** Hot ovens and vessels made ready come before what uses them. */
export function readyFirst(ctx: Context): void {
  const { pieces, bound } = ctx;
  pieces.forEach((p, i) => {
    if (p.kind === 'preheat') {
      const user =
        pieces.findIndex((x, k) => k > i && x.kind === 'bake') >= 0
          ? pieces.findIndex((x, k) => k > i && x.kind === 'bake')
          : pieces.findIndex((x) => x.kind === 'bake');
      const hot =
        user >= 0 ? user : pieces.findIndex((x, k) => k > i && /\b(?:tray|oven|blech|plaque)\b/iu.test(x.text) && x.kind !== 'preheat');
      if (hot >= 0) bound[hot]!.after.add(i);
    } else if (readies(p)) {
      const vesselNamed = pieces.findIndex(
        (x, k) => k > i && !readies(x) && /\b(?:tins?|dish(?:es)?|trays?|moulds?|cases?|form|plat|molde)\b/iu.test(x.text),
      );
      const filled = pieces.findIndex(
        (x, k) =>
          k > i &&
          !readies(x) &&
          (workFacts[x.kind].place === 'dish' || x.kind === 'bake' || /\b(?:lay|layer|pour|arrange|spoon|tip)\b/iu.test(x.text)),
      );
      const user = vesselNamed >= 0 && (filled < 0 || vesselNamed <= filled) ? vesselNamed : filled;
      if (user >= 0) bound[user]!.after.add(i);
    }
  });
}

/** Lines that nothing has named yet, by weaker signs: a seasoning word, a slip of the pen, the verb that is the food. */
export function lastResort(ctx: Context): void {
  for (const l of ctx.lines) {
    if (ctx.bound.some((b) => b.uses.has(l.line))) continue;
    const salty = l.row !== undefined && /^(?:salt|pepper)/.test(l.row.id);
    const words = [...l.words, ...l.heads].filter((w) => w.length > 4);
    const counted = (l.line.written.split(/[,(]/)[0] ?? '')
      .split(/[^\p{L}]+/u)
      .map(stemOf)
      .filter((w) => /^(?:sheet|wrapper|leaf|clove|stick|stalk|slice|case|skin|shell|round)$/.test(w));
    const at = ctx.pieces.findIndex((p) => {
      if (
        salty &&
        (/\b(?:season(?:ing)?|salz|würzen|abschmecken|assaisonn|salpiment|sazon|regolare)/iu.test(p.text) ||
          (/^salt/.test(l.row!.id) && /\b(?:salted|salt|salzen|saler|salar|salare)\b/iu.test(p.text)))
      )
        return true;
      if (/^butter/.test(l.row?.id ?? '') && /\b(?:butter|buttered)\b/iu.test(p.text)) return true;
      if (/^oil/.test(l.row?.id ?? '') && /\b(?:oil|oiled)\b/iu.test(p.text)) return true;
      return p.segments.some((s) =>
        s.tokens.some(
          (t, i) =>
            !s.quiet.has(i) &&
            !s.verbs.has(i) &&
            (counted.includes(t.stem) || (words.some((w) => slipOf(t.stem, w)) && !isProduct(t.stem))),
        ),
      );
    });
    // told only under “before” or “until”: it has gone in by then
    const quietly =
      at >= 0
        ? at
        : ctx.pieces.findIndex(
            (p) =>
              p.kind !== 'preheat' &&
              p.segments.some((s) =>
                mentionsIn(s.tokens, [l], s.verbs).some(
                  (m) =>
                    s.quiet.has(m.from) &&
                    s.tokens.slice(0, m.from).some((t) => /^(?:before|until|till|once|when)$/.test(t.word)) &&
                    !s.tokens.slice(Math.max(0, m.from - 3), m.from).some((t) => /^(?:no|not|without|never)$/.test(t.word)),
                ),
              ),
          );
    if (quietly < 0) continue;
    ctx.bound[quietly]!.uses.set(l.line, 1);
    ctx.left.set(l.line, 0);
  }
}
