import { useEffect, useRef, useState } from 'react';
import { alarmsOf, sayAlarm, type RunningTimer } from '#core/session';
import { hush, readySound, ring } from './alarm.ts';

/** An alarm is said again until somebody answers it. */
const againMs = 20_000;

export interface Alarms {
  sound: boolean;
  /** The first that rings; undefined when all are answered. */
  ringing: RunningTimer | undefined;
  setSound: (on: boolean) => void;
  quiet: (id: string) => void;
}

/** Rings what is up by name until it is answered; a clock that gets more time rings anew. */
export function useAlarms(timers: readonly RunningTimer[]): Alarms {
  const [sound, setSound] = useState(false);
  const [quieted, setQuieted] = useState<ReadonlySet<string>>(new Set());
  const due = alarmsOf(timers);
  const ringing = due.find((t) => !quieted.has(t.id));
  // a timer that runs again may ring again
  const running = timers.filter((t) => !due.includes(t) && quieted.has(t.id)).map((t) => t.id);
  if (running.length > 0) setQuieted(new Set([...quieted].filter((id) => !running.includes(id))));
  const words = useRef('');
  words.current = ringing ? sayAlarm(ringing) : '';
  const id = ringing?.id;
  useEffect(() => {
    if (!sound || id === undefined) return undefined;
    ring(words.current);
    const timer = setInterval(() => ring(words.current), againMs);
    return () => {
      clearInterval(timer);
      hush();
    };
  }, [sound, id]);
  return {
    sound,
    ringing,
    setSound(on) {
      if (on) readySound();
      setSound(on);
    },
    quiet: (which) => setQuieted(new Set([...quieted, which])),
  };
}
