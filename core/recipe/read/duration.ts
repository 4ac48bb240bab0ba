const mostChars = 1200;

/**
 * Minutes of an ISO 8601 duration (`PT1H30M`, `P1D`), or of plain words ("1 hour 20 minutes"); undefined when neither.
 * @example minutesOf('PT1H30M') // 90
 */
export function minutesOf(value: unknown): number | undefined {
  if (typeof value !== 'string') return undefined;
  // no step is longer: what is beyond is not searched
  const text = value.slice(0, mostChars);
  const iso = /^P(?:(\d+(?:\.\d+)?)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?(?:(\d+(?:\.\d+)?)S)?)?$/i.exec(text.trim());
  if (iso) return Math.round(Number(iso[1] ?? 0) * 1440 + Number(iso[2] ?? 0) * 60 + Number(iso[3] ?? 0) + Number(iso[4] ?? 0) / 60);
  const hours = /(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?|std\.?|stunden?|heures?|or[ae]|horas?)\b/i.exec(text);
  const mins = /(\d+)(?:\s*(?:-|–|to)\s*(\d+))?\s*(?:m|mins?|minutes?|minuten|minuti|minutos)\b/i.exec(text);
  if (!hours && !mins) return undefined;
  return Math.round(Number(hours?.[1]?.replace(',', '.') ?? 0) * 60 + Number(mins?.[2] ?? mins?.[1] ?? 0));
}
