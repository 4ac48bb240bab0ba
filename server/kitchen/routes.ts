import { Router } from 'express';
import { z } from 'zod';
import { mostReadChars, referenceTables, refusals, type ReferenceTable } from '#core/contract';
import { kitchenAnswer, type LarderAnswer, type ReferenceAnswer } from '#core/queries';
import { HttpRefusal, answer, answerLater, notFound, param, type Context } from '../http.ts';
import { readFile } from '../files/reading.ts';
import { deletedDocuments } from '../db/index.ts';
import { settingOf } from '../session/index.ts';
import { larderAnswer, referenceAnswer } from './larder.ts';

/** Things taken away that are listed. */
const mostDeleted = 200;

const calendarSchema = z.object({ text: z.string().max(mostReadChars), fileName: z.string().max(200) });

/** Who eats, what there is to cook, pack and store in; ingredients and reference rows; a calendar file read into days away. */
export function kitchenRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/kitchen',
    answer(() => {
      const { world, records, now } = settingOf(ctx);
      return kitchenAnswer(world, records, now);
    }),
  );
  r.get(
    '/deleted',
    answer(() => deletedDocuments(ctx.db, mostDeleted)),
  );
  r.get(
    '/larder',
    answer((): LarderAnswer => larderAnswer(ctx)),
  );
  r.get(
    '/reference/:table',
    answer((req): ReferenceAnswer => {
      const table = param(req, 'table');
      if (!(referenceTables as readonly string[]).includes(table)) throw notFound('A table of reference rows', table);
      return referenceAnswer(ctx, table as ReferenceTable);
    }),
  );
  r.post(
    '/calendar/read',
    answerLater(async (req) => {
      const parsed = calendarSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'This file cannot be read.', refusals(parsed.error, req.body));
      const { world, today } = settingOf(ctx);
      const result = await readFile<'readCalendar'>(
        ctx,
        { kind: 'readCalendar', text: parsed.data.text, from: today, zone: world.household.timeZone },
        parsed.data.fileName,
      );
      if (!result.ok)
        throw new HttpRefusal(
          422,
          result.why === 'empty'
            ? 'This calendar has no entries. Nothing was changed.'
            : 'This is not a calendar file, or it is cut off. Export it again as .ics. Nothing was changed.',
          [{ path: parsed.data.fileName, expected: 'an iCalendar file (.ics)', got: result.detail }],
        );
      return result.read;
    }),
  );
  return r;
}
