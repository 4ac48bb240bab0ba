import { z } from 'zod';
import { instantSchema } from './basics.ts';
import { eventSchema } from './events.ts';
import { documentSchemas } from './writes.ts';

/** The open export: everything a household has said, as one JSON document. Stock, lists and dates are worked out from it. */
export const exportSchema = z.object({
  format: z.literal('tambo-export'),
  version: z.literal(1),
  madeAt: instantSchema,
  storeId: z.string(),
  documents: z.object(
    Object.fromEntries(Object.entries(documentSchemas).map(([table, schema]) => [table, z.array(schema)])) as {
      [T in keyof typeof documentSchemas]: z.ZodArray<(typeof documentSchemas)[T]>;
    },
  ),
  /** Reference rows that the household changed; the others are as shipped. */
  referenceEdits: z.array(z.object({ table: z.string(), id: z.string(), edited: z.record(z.string(), z.unknown()) })),
  events: z.array(eventSchema.and(z.object({ receivedAt: instantSchema }))),
});

/**
 * Its published schema (JSON Schema, draft 2020-12), made from the contract itself.
 * @example exportJsonSchema() // written to docs/export.schema.json
 */
export const exportJsonSchema = (): unknown => z.toJSONSchema(exportSchema, { io: 'input' });
