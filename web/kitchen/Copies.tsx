import { Anchor, Box, Button, Card, FileButton, Group, Stack, Table, Text, Title } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { clockOf, countOf, dayOf, sayDayYear, sayWeekday } from '#core/kitchen';
import type { HouseholdCounts, RestoreLook } from '#core/queries';
import {
  api,
  sayError,
  useBackupsQuery,
  useLeaveCopyMutation,
  useLookAtCopyMutation,
  useMakeBackupMutation,
  useTakeCopyMutation,
} from '../sync/api.ts';
import { useAppDispatch } from '../sync/store.ts';
import { JobProgress } from '../ui/JobProgress.tsx';
import { useJob } from '../sync/useJob.ts';
import { SecondPlace } from './SecondPlace.tsx';
import { Note } from '../ui/Note.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';

const sizeOf = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))}\u00a0kB` : `${(bytes / 1_000_000).toFixed(1)}\u00a0MB`;

const kinds = { daily: 'made by Tambo', hand: 'made by hand', before: 'made before a restore' } as const;

const rows: readonly (readonly [keyof HouseholdCounts, string])[] = [
  ['inStore', 'packs in store'],
  ['packs', 'packs ever'],
  ['events', 'entries logged'],
  ['recipes', 'recipes'],
  ['sessions', 'sessions'],
  ['eaters', 'eaters'],
];

/** What would change, beside each other, before anything does. */
function LookAt({
  look,
  zone,
  onTake,
  onLeave,
  busy,
}: {
  look: RestoreLook;
  zone: string;
  onTake: () => void;
  onLeave: () => void;
  busy: boolean;
}) {
  const { manifest, here } = look;
  return (
    <Box mt={14}>
      <Note>
        A copy of <b>{manifest.household}</b>, made {sayWeekday(dayOf(manifest.madeAt, zone))} at {clockOf(manifest.madeAt, zone)}.{' '}
        {look.sameHousehold ? 'It is this household.' : 'It is another household than the one that runs here.'}
      </Note>
      <Table maw={560} mt={10}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th> </Table.Th>
            <Table.Th ta="right">here now</Table.Th>
            <Table.Th ta="right">in the copy</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {rows.map(([key, name]) => (
            <Table.Tr key={key}>
              <Table.Td>{name}</Table.Td>
              <Table.Td ta="right">{here?.[key].toLocaleString('en-GB') ?? '?'}</Table.Td>
              <Table.Td ta="right" style={here?.[key] === manifest.counts[key] ? undefined : { fontWeight: 700 }}>
                {manifest.counts[key].toLocaleString('en-GB')}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Note tone={look.onlyHere > 0 ? 'warn' : 'good'} mt={12}>
        {look.onlyHere > 0
          ? `${countOf(look.onlyHere, 'entry', 'entries')} logged here ${look.onlyHere === 1 ? 'is' : 'are'} not in this copy. A copy of the household as it is now is made first, so that ${look.onlyHere === 1 ? 'it is' : 'they are'} not lost.`
          : 'Everything that is logged here is in this copy too.'}{' '}
        {look.onlyThere > 0 && `${countOf(look.onlyThere, 'entry', 'entries')} would come back.`}
      </Note>
      {look.leftOut.length > 0 && (
        <Note tone="warn" mt={8}>
          {countOf(look.leftOut.length, 'row')} cannot be read and would be left out:{' '}
          {look.leftOut
            .slice(0, 4)
            .map((x) => `${x.table} ${x.id} (${x.why})`)
            .join('; ')}
          .
        </Note>
      )}
      <Group wrap="nowrap" mt={14}>
        <Button disabled={busy} onClick={onTake}>
          {busy ? 'Putting it in place...' : 'Put this copy in place'}
        </Button>
        <Button variant="outline" disabled={busy} onClick={onLeave}>
          Leave things as they are
        </Button>
      </Group>
    </Box>
  );
}

/** Copies of the household: one tap to make one, a look before one is put in place, moving to another machine. */
export function Copies({ zone }: { zone: string }) {
  const { data } = useBackupsQuery();
  const dispatch = useAppDispatch();
  const making = useJob();
  const looking = useJob();
  const [name, setName] = useState<string>();
  const [restoreId, setRestoreId] = useState<string>();
  const [makeBackup] = useMakeBackupMutation();
  const [askLook] = useLookAtCopyMutation();
  const [leaveCopy] = useLeaveCopyMutation();
  const [takeCopy, { isLoading: busy }] = useTakeCopyMutation();
  const [problem, setProblem] = useState<string>();
  const made = making.job?.state === 'done';
  useEffect(() => {
    if (!made || !name) return;
    dispatch(api.util.invalidateTags(['World']));
    // one tap: the file comes down by itself
    const link = document.createElement('a');
    link.href = `/api/backup/${name}`;
    link.download = name;
    link.click();
  }, [made, name, dispatch]);
  const look = looking.job?.state === 'done' ? (looking.job.result as RestoreLook) : undefined;
  const lookAt = (copy: string | File): void => {
    setProblem(undefined);
    looking.start(async () => {
      const { id, jobId } = await askLook(copy).unwrap();
      setRestoreId(id);
      return jobId;
    });
  };
  const fileTaken = useRef<() => void>(null);
  const chosen = (file: File | null): void => {
    // the same file may be chosen again
    fileTaken.current?.();
    if (file) lookAt(file);
  };
  const leave = (): void => {
    if (restoreId) void leaveCopy(restoreId);
    looking.clear();
  };
  const take = (): void => {
    if (restoreId === undefined) return;
    takeCopy(restoreId)
      .unwrap()
      .then(
        () => location.assign('/'),
        (e: unknown) => setProblem(sayError(e, 'Look again whether it was put in place.').message),
      );
  };
  return (
    <Columns align="start" parts={[1, 1]}>
      <Card aria-label="Back up">
        <Title order={2}>Back up</Title>
        <Text inherit mb={12}>
          One file with everything: the database, and all of it again as open JSON for other programs.
        </Text>
        <Button
          size="lg"
          disabled={making.running}
          onClick={() =>
            making.start(async () => {
              const started = await makeBackup().unwrap();
              setName(started.name);
              return started.id;
            })
          }
        >
          Back up now
        </Button>
        <JobProgress run={making} />
        {made && name && (
          <Note tone="good" mt={12} role="status">
            Done. If it did not come down by itself: <a href={`/api/backup/${name}`}>{name}</a>
          </Note>
        )}
        <Title order={3} mt={18} mb={4}>
          Kept here
        </Title>
        {(data?.startSaid !== undefined || data?.missedSince !== undefined) && (
          <Stack gap={8} my={8} role="status">
            {data.startSaid && <Note tone="warn">{data.startSaid}</Note>}
            {data.missedSince && (
              <Note tone="warn">
                No daily copy since {sayDayYear(data.missedSince)}: Tambo was not running, or there was no room. Back up now.
              </Note>
            )}
          </Stack>
        )}
        <Text c="dimmed" fz={15}>
          Tambo makes one a day by itself and keeps 7 days, 4 weeks and 12 months of them, in {data?.folder ?? 'its folder'}. A copy on this
          machine is lost with it: take one away now and then, or name a second place.
        </Text>
        <Rows mah={320} tabIndex={0} aria-label="Copies kept here">
          {(data?.copies ?? []).map((c) => (
            <li key={c.name}>
              <Box className="grow">
                <b>{sayDayYear(c.day)}</b>
                <Text component="div" size="xs" c="dimmed">
                  {kinds[c.kind]}
                </Text>
              </Box>
              <Text span inherit c="dimmed">
                {sizeOf(c.bytes)}
              </Text>
              <Anchor size="xs" href={`/api/backup/${c.name}`} download aria-label={`Take the copy of ${sayDayYear(c.day)}`}>
                take
              </Anchor>
              <Anchor
                component="button"
                size="xs"
                type="button"
                aria-label={`Look at the copy of ${sayDayYear(c.day)}`}
                disabled={looking.running}
                onClick={() => lookAt(c.name)}
              >
                look
              </Anchor>
            </li>
          ))}
          {data?.copies.length === 0 && (
            <Text component="li" inherit c="dimmed">
              None yet. The first comes within the hour, or by the button above.
            </Text>
          )}
        </Rows>
        {data && <SecondPlace away={data.away} zone={zone} />}
      </Card>
      <Card aria-label="Restore or move in">
        <Title order={2}>Restore, or move in</Title>
        <Text inherit mb={12}>
          Choose a backup, from here or from another machine. You see what would change before anything does. To move a household: back up
          there, start Tambo here, choose the file. What lets phones in is in no backup: open this one to the home network with the same
          name and port, and each phone trusts it once more; what waits on them comes along.
        </Text>
        <FileButton resetRef={fileTaken} accept=".zip,application/zip" inputProps={{ 'aria-label': 'Backup file' }} onChange={chosen}>
          {(props) => (
            <Button variant="outline" {...props}>
              Choose a backup
            </Button>
          )}
        </FileButton>
        <JobProgress run={looking} />
        {look && <LookAt look={look} zone={zone} onTake={take} onLeave={leave} busy={busy} />}
        {problem && (
          <Note tone="bad" mt={12} role="alert">
            {problem}
          </Note>
        )}
      </Card>
    </Columns>
  );
}
