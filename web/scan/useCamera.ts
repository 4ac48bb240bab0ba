import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';

/** What a camera can and a browser's types do not know. */
interface MoreOfCamera {
  torch?: boolean;
  focusMode?: string[];
}
interface MoreConstraints {
  torch?: boolean;
  focusMode?: string;
}

/** Why there is no picture, in words, with another way to the same end. */
const whyNot = (error: unknown): string => {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError')
    return 'This browser may not use the camera: allow it in the browser’s settings for this page. A picture of the code, or its five signs, do as well.';
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return 'There is no camera here. Open a picture of the code, or type its five signs.';
  return 'The camera cannot be used just now; another program may have it. Open a picture of the code, or type its five signs.';
};
/** Plain http gives a page no camera. */
const noneHere = 'A page that was opened without https gets no camera. Open a picture of the code, or type its five signs.';

export interface Camera {
  video: RefObject<HTMLVideoElement | null>;
  /** It shows a picture. */
  running: boolean;
  problem: string | undefined;
  /** The light, where the camera has one. */
  torch: { on: boolean; turn: () => void } | undefined;
}

/** The camera at the back of a phone, for as long as the page stands. */
export function useCamera(): Camera {
  const video = useRef<HTMLVideoElement>(null);
  const stream = useRef<MediaStream>(undefined);
  const [running, setRunning] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [light, setLight] = useState<boolean>();
  useEffect(() => {
    let gone = false;
    const start = async (): Promise<void> => {
      const devices = (navigator as { mediaDevices?: MediaDevices }).mediaDevices;
      if (!devices) return setProblem(noneHere);
      try {
        const made = await devices.getUserMedia({ audio: false, video: { facingMode: 'environment', width: { ideal: 1280 } } });
        if (gone) return made.getTracks().forEach((t) => t.stop());
        stream.current = made;
        const [track] = made.getVideoTracks();
        const can = (track?.getCapabilities?.() ?? {}) as MoreOfCamera;
        if (can.torch) setLight(false);
        if (can.focusMode?.includes('continuous'))
          await track!
            .applyConstraints({ advanced: [{ focusMode: 'continuous' } as MediaTrackConstraintSet & MoreConstraints] })
            .catch(() => undefined);
        if (!video.current || gone) return;
        video.current.srcObject = made;
        await video.current.play();
        setRunning(true);
      } catch (error) {
        if (!gone) setProblem(whyNot(error));
      }
    };
    void start();
    return () => {
      gone = true;
      stream.current?.getTracks().forEach((t) => t.stop());
    };
  }, []);
  const turn = useCallback(() => {
    const [track] = stream.current?.getVideoTracks() ?? [];
    setLight((on) => {
      void track?.applyConstraints({ advanced: [{ torch: !on } as MediaTrackConstraintSet & MoreConstraints] }).catch(() => undefined);
      return !on;
    });
  }, []);
  return { video, running, problem, torch: light === undefined ? undefined : { on: light, turn } };
}
