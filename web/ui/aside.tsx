import { useEffect, useState, type ComponentType, type ReactNode } from 'react';

/**
 * A part of a page whose code is brought apart. Until it is there `waiting` stands in its place; when it cannot be fetched because the
 * connection is gone, the page goes on without it and it is asked for again once the connection is back.
 */
export function aside<P extends object>(load: () => Promise<{ default: ComponentType<P> }>, waiting: ReactNode = null): ComponentType<P> {
  let brought: ComponentType<P> | undefined;
  return function Aside(props: P) {
    const [Part, setPart] = useState(() => brought);
    useEffect(() => {
      if (Part) return;
      let gone = false;
      const bring = (): void => {
        load().then(
          (m) => {
            brought = m.default;
            if (!gone) setPart(() => m.default);
          },
          () => undefined,
        );
      };
      bring();
      window.addEventListener('online', bring);
      return () => {
        gone = true;
        window.removeEventListener('online', bring);
      };
    }, [Part]);
    return Part ? <Part {...props} /> : waiting;
  };
}
