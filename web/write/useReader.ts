import * as Comlink from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FilesRead, Reader, ToRead } from '../workers/read.worker.ts';

/** How far the reading of files is. */
export interface ReadingState {
  done: number;
  total: number;
  /** The file being read. */
  name: string;
}

/** Nothing that somebody wrote takes this long; what does is stopped. */
const mostMsPerFile = 20_000;

export interface ReaderRun {
  state: ReadingState | undefined;
  /** Why the last reading ended early. */
  stopped: string | undefined;
  read: (files: readonly ToRead[]) => Promise<FilesRead | undefined>;
  stop: () => void;
}

/** Reads files in a thread of its own, so that the page answers meanwhile; it can be stopped, and stops itself on a file that takes too long. */
export function useReader(): ReaderRun {
  const [state, setState] = useState<ReadingState>();
  const [stopped, setStopped] = useState<string>();
  const end = useRef<(why: string | undefined) => void>(undefined);
  useEffect(() => () => end.current?.(undefined), []);
  const read = useCallback(async (files: readonly ToRead[]): Promise<FilesRead | undefined> => {
    end.current?.(undefined);
    const thread = new Worker(new URL('../workers/read.worker.ts', import.meta.url), { type: 'module' });
    const reader = Comlink.wrap<Reader>(thread);
    let timer: ReturnType<typeof setTimeout> | undefined;
    setStopped(undefined);
    return new Promise((resolve) => {
      let over = false;
      const finish = (found: FilesRead | undefined, why?: string): void => {
        over = true;
        clearTimeout(timer);
        thread.terminate();
        end.current = undefined;
        setState(undefined);
        setStopped(why);
        resolve(found);
      };
      const watch = (name: string): void => {
        clearTimeout(timer);
        timer = setTimeout(
          () =>
            finish(
              undefined,
              `${name} takes too long to read, so reading was stopped. Nothing was changed. Leave it out, or choose a smaller part of it.`,
            ),
          mostMsPerFile,
        );
      };
      end.current = (why) => finish(undefined, why);
      thread.addEventListener('error', () => finish(undefined, 'Reading could not be started in this browser. Nothing was changed.'));
      setState({ done: 0, total: files.length, name: files[0]?.name ?? '' });
      watch(files[0]?.name ?? 'This');
      const tell = (done: number, name: string): void => {
        // a message of progress may come in behind the last answer
        if (over) return;
        watch(name);
        setState({ done, total: files.length, name });
      };
      void reader.read([...files], Comlink.proxy(tell)).then(
        (found) => finish(found),
        (error: unknown) =>
          finish(undefined, `This cannot be read: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`),
      );
    });
  }, []);
  const stop = useCallback(() => end.current?.('Stopped. Nothing was changed.'), []);
  return { state, stopped, read, stop };
}
