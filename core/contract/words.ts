import { z } from 'zod';

/** How a figure is shown and typed: its unit, and by what it is multiplied on the way to the eye (a share of 0.85 is shown as 85 %). */
export interface Shown {
  unit?: string | undefined;
  times?: number | undefined;
}

/** Units of figures, beside the schema: the published shape of a file says nothing of how a page shows it. */
const shownBy = z.registry<Shown>();

/** A number whose unit every form and every message of it shows. @example inUnit(z.number().positive().max(5000), { unit: 'g' }) */
export const inUnit = (schema: z.ZodNumber, shown: Shown): z.ZodNumber => schema.register(shownBy, shown);

/** What is inside of optional and other wrappers. */
export function bare(schema: z.core.$ZodType): z.core.$ZodType {
  const { def } = schema._zod as { def: { innerType?: z.core.$ZodType } };
  return def.innerType ? bare(def.innerType) : schema;
}

/** Unit and factor of a figure; of anything else none. @example shownOf(equipmentSchema.shape.fillShare) // { unit: '%', times: 100 } */
export function shownOf(schema: z.core.$ZodType): Shown {
  const of = shownBy.get(bare(schema));
  return { unit: of?.unit, times: of?.times };
}

/** The schema of one field, by its path. @example schemaAt(equipmentSchema, ['marks', 'pulseMl']) */
export function schemaAt(schema: z.core.$ZodType, path: readonly PropertyKey[]): z.core.$ZodType | undefined {
  const [key, ...rest] = path;
  const here = bare(schema);
  if (key === undefined) return here;
  const next =
    here instanceof z.ZodObject
      ? (here.shape as Record<PropertyKey, z.core.$ZodType>)[key]
      : here instanceof z.ZodArray
        ? (here.element as z.core.$ZodType)
        : undefined;
  return next && schemaAt(next, rest);
}

const grouped = (n: number): string => {
  const short = Number(n.toPrecision(6));
  return Math.abs(short) >= 10_000 ? short.toLocaleString('en-GB') : String(short);
};

/** What a number may be: "from 1 to 60, whole", "more than 0 and at most 30,000 ml". */
function range(schema: z.core.$ZodType | undefined): string {
  const n = schema && bare(schema);
  if (!(n instanceof z.ZodNumber)) return 'a figure';
  const { unit, times = 1 } = shownOf(n);
  const [least, most] = [n.minValue, n.maxValue].map((x) => (x === null || Math.abs(x) >= Number.MAX_SAFE_INTEGER ? undefined : x * times));
  const above = (n.def.checks ?? []).some((c) => {
    const { check, inclusive } = c._zod.def as { check: string; inclusive?: boolean };
    return check === 'greater_than' && inclusive === false;
  });
  const whole = n.isInt && times >= 1 ? 'a whole number ' : '';
  const [low, high] = [least, most].map((x) => x !== undefined && grouped(x));
  const says =
    low && high
      ? above
        ? `more than ${low} and at most ${high}`
        : `from ${low} to ${high}`
      : low
        ? `${above ? 'more than' : 'at least'} ${low}`
        : high
          ? `at most ${high}`
          : 'a figure';
  return `${whole}${says}${unit && unit !== 'times' ? ` ${unit}` : ''}`;
}

/**
 * Says in a cook's words what a value must be: bounds and unit as the schema has them, so that they stand once.
 * @param schema of the whole value
 * @example sayIssue(containerSchema, issue) // "more than 0 and at most 30,000 ml"
 */
export function sayIssue(schema: z.core.$ZodType, issue: z.core.$ZodIssue): string {
  const at = schemaAt(schema, issue.path);
  const field = at && bare(at);
  if (field instanceof z.ZodNumber) return range(field);
  switch (issue.code) {
    case 'too_small':
      return issue.origin === 'string'
        ? 'a name or a word'
        : issue.origin === 'array'
          ? `at least ${grouped(Number(issue.minimum))} of them`
          : issue.message;
    case 'too_big':
      return issue.origin === 'string'
        ? `at most ${grouped(Number(issue.maximum))} characters`
        : issue.origin === 'array'
          ? `at most ${grouped(Number(issue.maximum))} of them`
          : issue.message;
    case 'invalid_type':
      return issue.expected === 'string' ? 'a name or a word' : issue.message;
    case 'invalid_value':
      return `one of ${issue.values.map(String).join(', ')}`;
    case 'invalid_format':
      return issue.format === 'date' ? 'a day such as 3 Dec 2026' : issue.message;
    default:
      return issue.message;
  }
}
