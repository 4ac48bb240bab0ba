import { Anchor, Button, FileButton, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Picture } from '../ui/Picture.tsx';
import c from './Texts.module.css';

/** Points of the longer side, and how hard it is pressed: about 100 kB. */
const longest = 1000;
const qualities = [0.8, 0.65, 0.5, 0.35];
const mostBase64 = 195_000;

/** A photograph made small on this device; undefined when it is no picture that this browser can read. */
async function madeSmall(file: File): Promise<{ type: 'image/jpeg'; base64: string } | undefined> {
  const bitmap = await createImageBitmap(file).catch(() => undefined);
  if (!bitmap) return undefined;
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.max(1, Math.round(bitmap.width * scale)), Math.max(1, Math.round(bitmap.height * scale))];
  const paper = canvas.getContext('2d');
  if (!paper) return undefined;
  // what was clear becomes paper, not black
  paper.fillStyle = '#fff';
  paper.fillRect(0, 0, canvas.width, canvas.height);
  paper.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  for (const quality of qualities) {
    const base64 = canvas.toDataURL('image/jpeg', quality).replace(/^data:image\/jpeg;base64,/, '');
    if (base64.length <= mostBase64) return { type: 'image/jpeg', base64 };
  }
  return undefined;
}

/** Bytes of a photograph that is still opened. */
const mostBytes = 40_000_000;

/** A picture of the dish: chosen, made small, kept in the household's database. */
export function PictureField({ pictureId, onChange }: { pictureId: string | undefined; onChange: (id: string | undefined) => void }) {
  const { write } = useCommands();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const take = async (file: File | null): Promise<void> => {
    if (!file) return;
    setProblem('');
    setBusy(true);
    const small = file.size > mostBytes ? undefined : await madeSmall(file);
    setBusy(false);
    if (!small) return setProblem(`${file.name} is no picture that can be read here, or too large. Choose a JPEG, PNG or WebP.`);
    const id = newId();
    await write([{ table: 'picture', id, data: { id, ...small }, was: null }], 'The picture is kept');
    onChange(id);
  };
  return (
    <div>
      {pictureId && <Picture key={pictureId} id={pictureId} alt="" className={c.picture} />}
      <Group mt={8}>
        <FileButton accept="image/jpeg,image/png,image/webp" onChange={(f) => void take(f)} inputProps={{ 'aria-label': 'Picture' }}>
          {(props) => (
            <Button variant="outline" size="sm" loading={busy} {...props}>
              {pictureId ? 'Another picture' : 'A picture'}
            </Button>
          )}
        </FileButton>
        {pictureId && (
          <Anchor component="button" type="button" size="sm" onClick={() => onChange(undefined)}>
            without it
          </Anchor>
        )}
      </Group>
      {problem && (
        <Text size="sm" c="var(--tomato)" role="alert">
          {problem}
        </Text>
      )}
    </div>
  );
}
