import { Box, Button, Card, FileButton, Group, Stack, Text, TextInput } from '@mantine/core';
import * as Comlink from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { scannedCode } from '#core/pack';
import { Note } from '../ui/Note.tsx';
import { Page, PageHead } from '../ui/ui.tsx';
import type { ScanWorker } from '../workers/scan.worker.ts';
import { useCamera } from './useCamera.ts';

/** Looks so often; a look takes some 20 ms in a thread of its own. */
const lookMs = 160;
/** A code needs no more than this across. */
const lookPx = 640;

/** A picture of what the camera sees now; undefined before it sees anything. */
function frameOf(video: HTMLVideoElement | null, canvas: HTMLCanvasElement): ImageData | undefined {
  if (!video || video.videoWidth === 0) return undefined;
  const scale = Math.min(1, lookPx / video.videoWidth);
  canvas.width = Math.round(video.videoWidth * scale);
  canvas.height = Math.round(video.videoHeight * scale);
  const brush = canvas.getContext('2d', { willReadFrequently: true });
  brush?.drawImage(video, 0, 0, canvas.width, canvas.height);
  return brush?.getImageData(0, 0, canvas.width, canvas.height);
}

/** Reads the code of a pack with the camera, from a picture, or as it is typed; then the pack stands there, to be eaten, taken out or moved. */
export function ScanPage() {
  const navigate = useNavigate();
  const { video, running, problem, torch } = useCamera();
  const worker = useRef<{ thread: Worker; scan: Comlink.Remote<ScanWorker> }>(undefined);
  const [typed, setTyped] = useState('');
  const [says, setSays] = useState<string>();
  const reader = (): Comlink.Remote<ScanWorker> => {
    if (!worker.current) {
      const thread = new Worker(new URL('../workers/scan.worker.ts', import.meta.url), { type: 'module' });
      worker.current = { thread, scan: Comlink.wrap<ScanWorker>(thread) };
    }
    return worker.current.scan;
  };
  useEffect(() => () => worker.current?.thread.terminate(), []);
  /** Goes to the pack whose code was read; what else it may be is said. */
  const found = (text: string | undefined): boolean => {
    if (text === undefined) return false;
    const code = scannedCode(text);
    if (code === undefined) setSays('That is a code, and not one of a pack. The code on a lid has five signs.');
    else void navigate(`/p/${code}`);
    return code !== undefined;
  };
  const onFound = useRef(found);
  onFound.current = found;
  useEffect(() => {
    if (!running) return undefined;
    const canvas = document.createElement('canvas');
    let timer: ReturnType<typeof setTimeout>;
    let over = false;
    const look = async (): Promise<void> => {
      const picture = frameOf(video.current, canvas);
      const text =
        picture &&
        (await reader()
          .read(picture)
          .catch(() => undefined));
      if (over || onFound.current(text)) return;
      timer = setTimeout(() => void look(), lookMs);
    };
    void look();
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [running, video]);
  const open = async (file: File | null): Promise<void> => {
    if (!file) return;
    setSays('Looking at the picture…');
    const text = await reader()
      .read(file)
      .catch(() => undefined);
    if (text === undefined) setSays('No code was found in that picture. Nearer, flatter, with more light; or type its five signs.');
    else found(text);
  };
  return (
    <Page>
      <PageHead
        title="Read a code"
        lead={
          problem === undefined
            ? 'Hold the code of a lid before the camera; the pack comes up by itself.'
            : 'From a picture of the lid, or by its five signs.'
        }
      />
      <Stack maw={640}>
        <Card aria-label="Camera">
          {problem === undefined ? (
            <Box
              component="video"
              ref={video}
              muted
              playsInline
              aria-label="What the camera sees"
              w="100%"
              style={{ aspectRatio: '4 / 3', objectFit: 'cover', borderRadius: 10, background: 'var(--pale)', display: 'block' }}
            />
          ) : (
            <Note tone="warn">{problem}</Note>
          )}
          <Group mt={10} gap={10}>
            {torch && (
              <Button variant="outline" aria-pressed={torch.on} onClick={torch.turn}>
                {torch.on ? 'Light off' : 'Light on'}
              </Button>
            )}
            <FileButton accept="image/*" capture={problem === undefined ? undefined : 'environment'} onChange={(f) => void open(f)}>
              {(props) => (
                <Button variant="outline" {...props}>
                  Open a picture
                </Button>
              )}
            </FileButton>
          </Group>
          <Text role="status" mt={8} mih={24}>
            {says ?? (running ? 'Looking for a code.' : '')}
          </Text>
        </Card>
        <Card
          aria-label="Type it"
          component="form"
          onSubmit={(e: React.FormEvent) => (e.preventDefault(), typed.trim() && void navigate(`/p/${encodeURIComponent(typed.trim())}`))}
        >
          <Group align="end" gap={10}>
            <TextInput label="Or type its five signs" value={typed} onChange={(e) => setTyped(e.currentTarget.value)} />
            <Button type="submit" disabled={typed.trim() === ''}>
              Open it
            </Button>
          </Group>
        </Card>
      </Stack>
    </Page>
  );
}
