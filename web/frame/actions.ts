import type { FindEntry } from '#core/queries';

/** What can be done from anywhere, by name. */
export const actions: readonly FindEntry[] = (
  [
    ['log', 'Log a meal', '/eat?log=1', 'eaten who ate what'],
    ['writeRecipe', 'Write a recipe', '/recipes/write', 'new own type add editor'],
    ['newRecipe', 'Bring in recipes: files, a folder, a paste', '/recipes/new', 'import file page add paste json csv markdown'],
    ['feel', 'Cook by feel', '/recipes/feel', 'pour pinch without measuring'],
    ['larder', 'Ingredients: weights, prices, how they keep', '/kitchen?tab=larder', 'larder trim density price'],
    ['newPlan', 'Plan a session', '/plan?new=1', 'new cook saturday'],
    ['count', 'Count what is in the freezer', '/store/count', 'first count stocktake enter'],
    ['scan', 'Read the code on a lid with the camera', '/scan', 'qr scan picture label'],
    ['settle', 'Settle what was probably eaten', '/eat?settle=1', 'doubtful weekly forgot'],
    ['list', 'Shopping list', '/shop', 'print buy'],
    ['worktop', 'Worktop: cook side by side', '/worktop', 'tablet timers'],
    ['welcome', 'Set up step by step', '/welcome', 'first evening start'],
    ['backup', 'Back up or restore', '/kitchen?tab=data', 'save file copy export'],
    ['device', 'This device: dark or light, voice, keys', '/kitchen?tab=device', 'theme sound settings'],
    ['history', 'History, with undo of everything', '/history', 'undo back'],
  ] as const
).map(([id, name, to, words]) => ({ id, type: 'action', name, note: 'do it', to, words }));
