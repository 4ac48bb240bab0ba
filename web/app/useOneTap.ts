import { useEffect } from 'react';

/** Controls that act. Fields are not among them: a double click there chooses a word. */
const acting = 'button, a[href], [role=button], [role=checkbox], [role=radio], [role=switch], [role=menuitem], [role=option]';
/** Steppers and the like: each tap is meant. */
const meantEach = '[data-again]';

const actsOnce = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(acting) !== null && target.closest(meantEach) === null;

/**
 * The second click of a double click and a key that is held down do nothing on a control that acts (decision 46). What comes later, from impatience or
 * another tab, is known by its intent.
 */
export function useOneTap(): void {
  useEffect(() => {
    const stop = (e: Event): void => {
      e.preventDefault();
      e.stopImmediatePropagation();
    };
    const onClick = (e: MouseEvent): void => {
      if (e.detail > 1 && actsOnce(e.target)) stop(e);
    };
    const onKey = (e: KeyboardEvent): void => {
      if (e.repeat && (e.key === 'Enter' || e.key === ' ') && actsOnce(e.target)) stop(e);
    };
    // a form is sent by its field's Enter too; held down, it is sent once
    const onField = (e: KeyboardEvent): void => {
      if (e.repeat && e.key === 'Enter' && e.target instanceof HTMLInputElement) stop(e);
    };
    document.addEventListener('click', onClick, true);
    document.addEventListener('keydown', onKey, true);
    document.addEventListener('keydown', onField, true);
    return () => {
      document.removeEventListener('click', onClick, true);
      document.removeEventListener('keydown', onKey, true);
      document.removeEventListener('keydown', onField, true);
    };
  }, []);
}
