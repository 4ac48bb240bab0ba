import { z } from 'zod';
import { idSchema } from './basics.ts';

/** Characters of a picture as it is kept: about 150 kB, which a page of 1200 by 900 needs at most. */
const mostChars = 200_000;

/** A small picture of a dish, kept in the database with all else. */
export const pictureSchema = z.object({
  id: idSchema,
  type: z.enum(['image/jpeg', 'image/webp', 'image/png']),
  base64: z
    .string()
    .min(8)
    .max(mostChars)
    .regex(/^[A-Za-z0-9+/]+={0,2}$/, 'a picture in base64'),
});

export type Picture = z.infer<typeof pictureSchema>;
