import type { PlanFault } from './schedule/index.ts';

/** How a page calls things. */
export interface FaultNames {
  /** A task in a few words. */
  task: (id: string) => string;
  cook: (id: string) => string;
  /** The clock at a minute of the plan. */
  at: (min: number) => string;
}

const things: Readonly<Record<string, string>> = {
  hob: 'burners are',
  ice: 'ice bath is',
  sink: 'sink is',
  steamer: 'steamer is',
  pan: 'pans are',
  microwave: 'microwave is',
  oven: 'shelves of the oven are',
  board: 'board is',
  blender: 'blender is',
  processor: 'food processor is',
};

/** A resource of the schedule in words, with its verb: the pots by their size. */
const thing = (what: string | undefined): string =>
  what?.startsWith('pot ') ? `${(Number(what.slice(4)) / 1000).toFixed(1).replace('.0', '')} l pot is` : (things[what ?? ''] ?? 'gear is');

/**
 * Why a task cannot stand where it was put.
 * @param id the task that was moved
 * @example sayFault({ code: 'lagShort', tasks: ['prep', 'sear'] }, 'sear', names) // 'It comes after “Dice onion”.'
 */
export function sayFault(fault: PlanFault, id: string, names: FaultNames): string {
  const other = fault.tasks.find((t) => t !== id);
  const also = other === undefined ? 'something else' : `“${names.task(other)}”`;
  switch (fault.code) {
    case 'lagShort':
      return fault.tasks[0] === id ? `${also} comes after it.` : `It comes after ${also}.`;
    case 'lagLong':
      return `It would be too long after ${also}: that has a limit of time.`;
    case 'twoAtOnce':
      return `${names.cook(fault.what ?? '')} is at ${also} then.`;
    case 'away':
    case 'notItsCook':
    case 'noCook':
      return `${names.cook(fault.what ?? '')} is not there then.`;
    case 'closed':
      return `It is loud, and ${fault.at === undefined ? 'then' : names.at(fault.at)} is in the quiet hours.`;
    case 'temperature':
      return `The oven is at another temperature then, for ${also}.`;
    case 'unwashed':
      return `What it is done on has to be washed after ${also} first.`;
    case 'tooMany':
    case 'unitTwice':
    case 'shelves':
      return `The ${fault.code === 'shelves' ? things.oven! : thing(fault.what)} taken then, by ${also}.`;
    default:
      return 'What comes before it is not done by then.';
  }
}
