import { useState } from 'react';

const keyOf = (sessionId: string): string => `tambo.cook.${sessionId}`;

/** Whose tasks this device shows, kept on the device: a phone is one cook's, the tablet on the wall is all cooks'. */
export function useOwnCook(sessionId: string): [string | undefined, (cookId: string) => void] {
  const [me, setMe] = useState(() => {
    try {
      return localStorage.getItem(keyOf(sessionId)) ?? undefined;
    } catch {
      return undefined;
    }
  });
  return [
    me,
    (cookId) => {
      setMe(cookId);
      try {
        localStorage.setItem(keyOf(sessionId), cookId);
      } catch {
        // then it is chosen again next time
      }
    },
  ];
}
