/** Controls that act. Fields are not among them: a double click there chooses a word. */
const acting =
  'button, a[href], input[type=checkbox], [role=button], [role=checkbox], [role=radio], [role=switch], [role=menuitem], [role=option]';
/** Steppers and the like: each tap is meant. */
const meantEach = '[data-again]';

const actsOnce = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(acting) !== null && target.closest(meantEach) === null;

/** Where the next thing takes the place of the one that was done, in the same control. */
const moving = '[data-next]';
/**
 * An impatient tap on the same spot, where another control of its kind lies now, is the one before: the next task's "Done" is not meant yet.
 * Counted from when the page was drawn after the tap, so that a busy device shortens nobody's time to see what lies there now.
 */
export const onePlaceMs = 500;
const onePlacePx = 16;

/** The word a control begins with: rows of a list have the same. */
const wordOf = (control: Element | null): string =>
  (control?.getAttribute('aria-label') ?? control?.textContent ?? '').trim().split(/[\s:,]/)[0] ?? '';

interface Tap {
  x: number;
  y: number;
  at: number;
  control: Element | null;
  word: string;
}

/**
 * The second click of a double click and a key that is held down do nothing on a control that acts (decision 46). What comes later, from impatience or
 * another tab, is known by its intent. Holds on every page, whatever frame it has.
 */
export function startOneTap(): void {
  const stop = (e: Event): void => {
    e.preventDefault();
    e.stopImmediatePropagation();
  };
  let last: Tap = { x: -1000, y: -1000, at: -Infinity, control: null, word: '' };
  // a control may turn into a stepper under the finger: what counts is what was first touched
  let firstActed = false;
  let heldActed = false;
  const onClick = (e: MouseEvent): void => {
    const acts = actsOnce(e.target);
    if (e.detail === 1) firstActed = acts;
    if (!acts && !(e.detail > 1 && firstActed)) return;
    const near = e.timeStamp - last.at < onePlaceMs && Math.hypot(e.clientX - last.x, e.clientY - last.y) < onePlacePx;
    const control = e.target instanceof Element ? e.target.closest(acting) : null;
    const moved = control !== null && (control.closest(moving) !== null || (control !== last.control && wordOf(control) === last.word));
    // a key's click has no place
    if (e.detail > 1 || (e.detail === 1 && moved && near)) return stop(e);
    if (e.detail !== 1) return;
    const tap: Tap = { x: e.clientX, y: e.clientY, at: e.timeStamp, control, word: wordOf(control) };
    last = tap;
    requestAnimationFrame(() => requestAnimationFrame((drawn) => (tap.at = drawn)));
  };
  const onKey = (e: KeyboardEvent): void => {
    if (e.key !== 'Enter' && e.key !== ' ') return;
    // a form is sent by its field's Enter too; held down, it is sent once
    const acts = actsOnce(e.target) || (e.key === 'Enter' && e.target instanceof HTMLInputElement);
    if (!e.repeat) heldActed = acts;
    else if (acts || heldActed) stop(e);
  };
  document.addEventListener('click', onClick, true);
  document.addEventListener('keydown', onKey, true);
}
