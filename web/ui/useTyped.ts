import { useEffect, useRef, useState } from 'react';

/**
 * A field whose value lives in the address: what is typed stands there at once, also while the address follows; what changes the address from elsewhere
 * changes the field.
 */
export function useTyped(value: string, send: (text: string) => void): [text: string, type: (text: string) => void] {
  const [text, setText] = useState(value);
  /** Typed, and not back from the address yet. */
  const onTheWay = useRef<string[]>([]);
  useEffect(() => {
    const at = onTheWay.current.indexOf(value);
    if (at >= 0) onTheWay.current.splice(0, at + 1);
    else setText(value);
  }, [value]);
  const type = (next: string): void => {
    onTheWay.current.push(next);
    setText(next);
    send(next);
  };
  return [text, type];
}
