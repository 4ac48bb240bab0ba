/** Controls that act. Fields are not among them: a double click there chooses a word. */
const acting = 'button, a[href], [role=button], [role=checkbox], [role=radio], [role=switch], [role=menuitem], [role=option]';
/** Steppers and the like: each tap is meant. */
const meantEach = '[data-again]';

const actsOnce = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(acting) !== null && target.closest(meantEach) === null;

/** Where the next thing takes the place of the one that was done. */
const moving = '[data-next]';
/** There an impatient tap on the same spot is the one before: the next task's "Done" is not meant yet. */
const onePlaceMs = 500;
const onePlacePx = 16;

/**
 * The second click of a double click and a key that is held down do nothing on a control that acts (decision 46). What comes later, from impatience or
 * another tab, is known by its intent. Holds on every page, whatever frame it has.
 */
export function startOneTap(): void {
  const stop = (e: Event): void => {
    e.preventDefault();
    e.stopImmediatePropagation();
  };
  let last = { x: -1000, y: -1000, at: -Infinity };
  const onClick = (e: MouseEvent): void => {
    if (!actsOnce(e.target)) return;
    const near = e.timeStamp - last.at < onePlaceMs && Math.hypot(e.clientX - last.x, e.clientY - last.y) < onePlacePx;
    const moved = e.target instanceof Element && e.target.closest(moving) !== null;
    // a key's click has no place
    if (e.detail > 1 || (e.detail === 1 && moved && near)) return stop(e);
    if (e.detail === 1) last = { x: e.clientX, y: e.clientY, at: e.timeStamp };
  };
  const onKey = (e: KeyboardEvent): void => {
    if (!e.repeat || (e.key !== 'Enter' && e.key !== ' ')) return;
    // a form is sent by its field's Enter too; held down, it is sent once
    if (actsOnce(e.target) || (e.key === 'Enter' && e.target instanceof HTMLInputElement)) stop(e);
  };
  document.addEventListener('click', onClick, true);
  document.addEventListener('keydown', onKey, true);
}
