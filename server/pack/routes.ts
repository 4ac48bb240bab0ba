import { count, inArray } from 'drizzle-orm';
import { Router } from 'express';
import { z } from 'zod';
import { refusals } from '#core/contract';
import { a4Grid21, codeFrom, codeLink, drawLabel, type DrawnLabel } from '#core/pack';
import { heatOfPack, labelContent, type World } from '#core/session';
import { labelsAnswer, type LabelsAnswer } from '#core/queries';
import type { PackState } from '#core/store';
import { schema, type Db } from '../db/index.ts';
import { packsWhere } from '../events/index.ts';
import { answer, HttpRefusal, param, type Context } from '../http.ts';
import { sessionOf, settingOf } from '../session/index.ts';
import { labelsPdf } from './pdf.ts';
import { qrModules } from './qr.ts';

/** A fixed shuffle of all 31^4 numbers: unlike neighbours, so that one misread sign is never the next pack. */
const scatter = (n: number): number => (n * 387_420 + 104_729) % 31 ** 4;

/** Gives codes that nobody has had, for ever. */
export function giveCodes(db: Db, wanted: number, device: string, at: string): string[] {
  return db.transaction((tx) => {
    const codes: string[] = [];
    let n = tx.select({ n: count() }).from(schema.packCode).get()?.n ?? 0;
    while (codes.length < wanted) {
      const code = codeFrom(scatter(n));
      n += 1;
      const given = tx.insert(schema.packCode).values({ code, givenTo: device, givenAt: at }).onConflictDoNothing().returning().all();
      if (given.length > 0) codes.push(code);
    }
    return codes;
  });
}

const giveSchema = z.object({ count: z.number().int().min(1).max(400), device: z.string().min(1).max(40) });
const pdfSchema = z.object({ packs: z.string().min(1).max(20_000), start: z.coerce.number().int().min(1).max(21).default(1) });

function packsByIds(db: Db, ids: readonly string[]): PackState[] {
  const found = new Map(packsWhere(db, inArray(schema.packState.packId, [...ids])).map((p) => [p.packId, p]));
  return ids.flatMap((id) => found.get(id) ?? []);
}

/** Labels as the core draws them for these packs, two for a pack whose words need them; a pack whose label is too small is named. */
export function drawLabels(world: World, packs: readonly PackState[]): DrawnLabel[] {
  return packs.flatMap((pack) => {
    const content = labelContent(pack, world.allergenNames, heatOfPack(pack, world));
    const drawn = drawLabel(
      content,
      { widthMm: a4Grid21.labelMm.w, heightMm: a4Grid21.labelMm.h },
      qrModules(codeLink(pack.code, world.household.address)),
    );
    if (!drawn.ok)
      throw new HttpRefusal(422, `${pack.name} ${pack.code}: ${drawn.needed}`, [
        { path: pack.code, expected: 'text that fits 63.5 x 38.1 mm', got: content.allergens.join('; ') },
      ]);
    return drawn.labels;
  });
}

/** Codes for devices, label contents for the page, the PDF for the printer. */
export function packRoutes(ctx: Context): Router {
  const r = Router();
  r.post(
    '/codes',
    answer((req) => {
      const parsed = giveSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'No codes were given.', refusals(parsed.error, req.body));
      return { codes: giveCodes(ctx.db, parsed.data.count, parsed.data.device, ctx.clock.now()) };
    }),
  );
  r.get(
    '/labels/:sessionId',
    answer((req): LabelsAnswer => {
      const { world, records, now } = settingOf(ctx);
      return labelsAnswer(sessionOf(ctx, param(req, 'sessionId')), world, records, now);
    }),
  );
  r.get('/labels.pdf', (req, res, next) => {
    const parsed = pdfSchema.safeParse(req.query);
    if (!parsed.success) return next(new HttpRefusal(422, 'These labels cannot be printed.', refusals(parsed.error, req.query)));
    const ids = parsed.data.packs.split(',').filter(Boolean);
    const packs = packsByIds(ctx.db, ids);
    if (packs.length === 0)
      return next(
        new HttpRefusal(404, 'None of these packs is known here.', [
          { path: 'packs', expected: 'packs that were filled', got: ids.join(',').slice(0, 80) },
        ]),
      );
    let labels: DrawnLabel[];
    try {
      labels = drawLabels(settingOf(ctx).world, packs);
    } catch (error) {
      return next(error);
    }
    labelsPdf(labels, a4Grid21, parsed.data.start, new Date(ctx.clock.now())).then(
      (pdf) => res.type('application/pdf').setHeader('Content-Disposition', 'inline; filename="labels.pdf"').send(pdf),
      next,
    );
  });
  return r;
}
