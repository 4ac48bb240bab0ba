import type { FrameAnswer } from '#core/queries';

/** The four steps of a first evening; each can be left and taken up later. */
export const steps = [
  { id: 'eaters', title: 'Who eats?', says: 'who eats' },
  { id: 'gear', title: 'What do you own?', says: 'what you own' },
  { id: 'packs', title: 'What is in the freezer already?', says: 'what is in the freezer' },
  { id: 'session', title: 'What will you cook first?', says: 'a first session' },
] as const satisfies readonly { id: keyof FrameAnswer['setup']; title: string; says: string }[];

export const missing = (setup: FrameAnswer['setup']) => steps.filter((s) => !setup[s.id]);
