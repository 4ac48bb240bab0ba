/**
 * The first clause of a task's words, without its figures: what a voice can say.
 * @example shortTitle('Simmer, lid ajar; stir now and then.') // 'Simmer'
 */
export const shortTitle = (title: string): string => title.split(/[.,;:]/)[0]?.trim() ?? title;
