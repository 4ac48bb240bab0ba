import { Button, Checkbox, Group, Modal, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { inFridgeSince, putAway, repack, type Act } from '#core/commands';
import { intentId } from '#core/contract';
import { countOf, quarterDown, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { PackAnswer } from '#core/queries';
import { portionsFrom, repackedData, statusOf, type PackState } from '#core/store';
import { useFrameQuery } from '../sync/api.ts';
import { takeCodes } from '../sync/codes.ts';
import { useCommands } from '../sync/commands.ts';
import { MixRows } from '../pack/MixRows.tsx';
import { mostPacks, readRow, sumRows, type MixRow } from '../pack/ownMix.ts';
import { Note } from '../ui/Note.tsx';
import { useOnce } from '../ui/useOnce.ts';

/** Food of one or several packs of a lot goes into other packs: split, put together, or into what is at hand. */
export default function RepackPack({ data, onClose }: { data: PackAnswer; onClose: () => void }) {
  const { pack, lot, containers } = data;
  const frame = useFrameQuery().data;
  const { log } = useCommands();
  const { busy, once } = useOnce();
  const [from, setFrom] = useState<ReadonlySet<string>>(new Set([pack.packId]));
  const [rows, setRows] = useState<readonly MixRow[]>([
    { containerId: pack.containerId ?? '', packs: '2', each: String(quarterDown(pack.left / 2) || pack.left) },
  ]);
  const [problem, setProblem] = useState('');
  const sources = [pack, ...lot.filter((p) => p.packId !== pack.packId)].filter((p) => from.has(p.packId));
  const left = sources.reduce((s, p) => s + p.left, 0);
  const { packs, portions: goes, wrong } = sumRows(rows);
  const over = goes > left + 1e-9;
  const keep = async (): Promise<void> => {
    const [first, ...rest] = sources;
    if (!first || !frame) return;
    const codes = await takeCodes(frame.storeId, packs);
    if (!codes)
      return setProblem('No codes are left on this device and Tambo does not answer. Nothing was changed; try again when it is back.');
    const seen = sources.map((p) => p.seen ?? p.packId).join(' ');
    const targets = rows.flatMap((row) => {
      const read = readRow(row);
      return Array.from({ length: read?.packs ?? 0 }, () => ({ row, each: read?.each ?? 0 }));
    });
    const into = targets.map(({ row, each }, n) => {
      const container = containers.find((c) => c.id === row.containerId);
      return {
        packId: intentId('repack', seen, String(n)),
        data: repackedData(
          [first, ...rest],
          {
            code: codes[n] ?? '',
            portions: each,
            n: n + 1,
            of: targets.length,
            ...(container && { container }),
          },
          frame.figures,
        ),
      };
    });
    const out = portionsFrom(sources, goes);
    const acts: Act[] = repack(
      sources.flatMap((p: PackState, i) => ((out[i] ?? 0) > 0 ? [{ pack: p, portions: out[i] ?? 0 }] : [])),
      into,
    );
    // they stand where it stood, and their clock in the fridge runs on
    const { placeId, zoneId, fridgeSince } = first;
    if (statusOf(first) === 'frozen' && placeId !== undefined && zoneId !== undefined)
      acts.push(
        ...putAway(
          into.map((p) => ({ packId: p.packId })),
          { placeId, zoneId },
        ),
      );
    if (fridgeSince !== undefined) acts.push(...into.map((p) => inFridgeSince({ packId: p.packId }, fridgeSince)));
    await log(acts, `${pack.name}: ${countOf(into.length, 'pack')} packed anew`);
    onClose();
  };
  return (
    <Modal opened onClose={onClose} title={`${pack.name}, packed anew`} size={660} closeButtonProps={{ 'aria-label': 'Close' }}>
      <Stack>
        {lot.length > 1 && (
          <div role="group" aria-label="Out of">
            <Text fw={600} mb={4}>
              Out of
            </Text>
            <Group gap={16}>
              {lot.map((p) => (
                <Checkbox
                  key={p.packId}
                  label={`${p.code}, ${sayPortions(p.left)}`}
                  checked={from.has(p.packId)}
                  onChange={(e) =>
                    setFrom(new Set(e.currentTarget.checked ? [...from, p.packId] : [...from].filter((id) => id !== p.packId)))
                  }
                />
              ))}
            </Group>
          </div>
        )}
        <MixRows rows={rows} kind={pack.kind} containers={containers} onChange={setRows} />
        <Group justify="flex-end">
          <Text role="status" c={over ? 'var(--tomato)' : 'dimmed'}>
            {sayPortions(goes)} of {sayPortions(left)} {portionName(pack.kind, left)}
            {over ? ': more than there is' : left - goes > 1e-9 ? `; ${sayPortions(left - goes)} stays where it is` : ''}
          </Text>
        </Group>
        {problem !== '' && (
          <Note tone="bad" role="alert">
            {problem}
          </Note>
        )}
        {statusOf(pack) === 'fridge' && <Note tone="warn">It has thawed: the new packs stay in the fridge, and their days run on.</Note>}
        <Group>
          <Button disabled={busy || wrong || over || packs === 0 || packs > mostPacks || sources.length === 0} onClick={() => once(keep)}>
            Pack {countOf(packs, 'pack')}
          </Button>
        </Group>
      </Stack>
    </Modal>
  );
}
