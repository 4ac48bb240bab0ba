import { doneTask } from '#core/cook';
import type { TamboEvent } from '#core/contract';
import { countOf, sayMassIn, sayNear, sayPortions, sayVolumeIn, type UnitSystem } from '#core/kitchen';
import { otherwise } from './evening.ts';
import { sayCorrection } from './sayCorrection.ts';

/**
 * What a logged event says in History.
 * @example sayEvent(weighed, 'Leek gratin', new Map(), '2026-11-28') // 'Weighed: 3.88 l came out'
 */
export function sayEvent(
  event: TamboEvent,
  name: string,
  eaters: ReadonlyMap<string, string>,
  today: string,
  units: UnitSystem = 'metric',
): string {
  const sayMass = (g: number): string => sayMassIn(units, g);
  const sayVolume = (ml: number): string => sayVolumeIn(units, ml);
  switch (event.type) {
    case 'filled':
      return `${name}: filled, ${sayPortions(event.data.portions)} inside`;
    case 'labelled':
      return `${name}: label ${event.data.how === 'printed' ? 'printed' : 'written by hand'}`;
    case 'moved':
      return `${name}: put away`;
    case 'planned':
      return event.data.for ? `${name}: planned for ${sayNear(event.data.for.day, today)}` : `${name}: no longer planned`;
    case 'pulled':
      return `${name}: taken out for ${sayNear(event.data.day, today)}`;
    case 'opened':
      return `${name}: opened`;
    case 'eaten': {
      const who = event.data.shares
        .filter((s) => s.portions > 0)
        .map((s) => `${eaters.get(s.eaterId) ?? 'somebody'} ${sayPortions(s.portions)}`);
      const guests = event.data.guests > 0 ? [`guests ${sayPortions(event.data.guests)}`] : [];
      const rest = event.data.rest === 'fridge' ? ', the rest in the fridge' : event.data.rest === 'binned' ? ', the rest binned' : '';
      return `${name}: eaten by ${[...who, ...guests].join(', ') || 'nobody'}${rest}`;
    }
    case 'given':
      return `${name}: ${sayPortions(event.data.portions)} given to ${event.data.to}`;
    case 'discarded':
      return `${name}: ${sayPortions(event.data.portions)} binned${event.data.reason ? `, ${event.data.reason}` : ''}`;
    case 'lost':
      return `${name}: not found`;
    case 'found':
      return `${name}: ${sayPortions(event.data.portions)} found`;
    case 'corrected':
      return `${name}: ${event.data.is ? 'corrected' : 'counted again'}, ${sayCorrection(event.data, { sayMass, sayVolume })}`;
    case 'repacked':
      return `${name}: ${sayPortions(event.data.portions)} packed anew into ${countOf(event.data.into.length, 'pack')}`;
    case 'washed':
      return `${name}: container washed`;
    case 'ticked':
      return `${event.data.what ?? 'Something of the list'}: ${event.data.how === 'bought' ? 'in the basket' : 'at home'}`;
    case 'unticked':
      return `${event.data.what ?? 'Something'}: back on the list`;
    case 'taskStarted':
      return `Started: ${taskOf(event.data)}`;
    case 'taskHanded':
      return `Handed over: ${taskOf(event.data)}`;
    case 'taskDone':
      return doneTask(event.data.what ?? 'a task', event.data.prep, units);
    case 'taskSkipped':
      return `Skipped: ${taskOf(event.data)}`;
    case 'taskReopened':
      return `Taken up again: ${taskOf(event.data)}`;
    case 'taskExtended':
      return `${event.data.minutes} min more: ${taskOf(event.data)}`;
    case 'trimmed':
      return `${sayMass(event.data.boughtG)} bought, ${sayMass(event.data.usableG)} of it to cook with`;
    case 'weighed':
      return `${event.data.by === 'ruler' ? 'Measured with a ruler' : event.data.by === 'ladle' ? 'Ladled out' : 'Weighed'}: ${sayVolume(Math.round(event.data.volumeMl))} came out`;
    case 'eatenTonight':
      return `${sayVolume(Math.round(event.data.volumeMl))} eaten from the pot`;
    case 'yieldDiscarded':
      return `${sayVolume(Math.round(event.data.volumeMl))} binned, ${event.data.reason}`;
    case 'packingClosed':
      return 'Packing closed';
    case 'invited':
      return `${event.data.plates === 0 ? 'No guests' : countOf(event.data.plates, 'guest')} for ${event.data.meal} ${sayNear(event.data.day, today)}`;
    case 'atHome':
      return `${eaters.get(event.subjects[0] ?? '') ?? 'Somebody'} ${event.data.home ? 'is there' : 'is not there'} for ${event.data.meal} ${sayNear(event.data.day, today)}`;
    case 'ateOtherwise':
      return `${event.data.meal} ${sayNear(event.data.day, today)}: ${otherwise[event.data.how]}`;
    case 'rated':
      return `${name}: ${countOf(event.data.stars, 'star')} by ${eaters.get(event.data.eaterId) ?? 'somebody'}`;
    case 'undone':
      return 'Taken back';
  }
}

/** Its title as it was logged: in the middle of a sentence, and before titles were logged, a task. */
const taskOf = (data: { what?: string | undefined }): string =>
  data.what === undefined ? 'a task' : data.what.slice(0, 1).toLowerCase() + data.what.slice(1);
