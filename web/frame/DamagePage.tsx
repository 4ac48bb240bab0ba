import { Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { clockOf, dayOf, sayDayYear } from '#core/kitchen';
import type { RestoreLook } from '#core/queries';
import { api, sayError, useDamageQuery, useLookAtCopyMutation, usePutDamageAsideMutation, useTakeCopyMutation } from '../sync/api.ts';
import { JobProgress } from '../ui/JobProgress.tsx';
import { useAppDispatch } from '../sync/store.ts';
import { PageHead, Waiting, Page } from '../ui/ui.tsx';
import { useJob } from '../sync/useJob.ts';
import { Rows } from '../ui/Rows.tsx';
import { Note } from '../ui/Note.tsx';

/** The household's file is damaged: what is known, the copies that can take its place, and beginning anew. Nothing happens by itself. */
export function DamagePage() {
  const { data, error, refetch } = useDamageQuery();
  const dispatch = useAppDispatch();
  const looking = useJob();
  const [chosen, setChosen] = useState<{ id: string; name: string }>();
  const [sure, setSure] = useState(false);
  const [askLook] = useLookAtCopyMutation();
  const [takeCopy, taking] = useTakeCopyMutation();
  const [putAside, putting] = usePutDamageAsideMutation();
  const busy = taking.isLoading || putting.isLoading;
  const [problem, setProblem] = useState<string>();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const look = looking.job?.state === 'done' ? (looking.job.result as RestoreLook) : undefined;
  const mended = (): void => {
    dispatch(api.util.resetApiState());
    location.assign('/');
  };
  const act = (done: Promise<unknown>): void => {
    setProblem(undefined);
    done.then(mended, (e: unknown) => setProblem(sayError(e, 'Look again whether it was done.').message));
  };
  // the household's own zone cannot be read now
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <Page>
      <PageHead title="The household’s file is damaged" lead="Nothing was changed, and what you enter waits on this device." />
      <Stack>
        <Card aria-label="What happened">
          <p>{data.damage?.why ?? 'It has been mended.'}</p>
          <Text inherit c="dimmed">
            A disk that fails, a power cut or another program may have done it. The damaged file stays in its folder ({data.file}) under
            another name, for whoever can still read something from it.
          </Text>
        </Card>
        <Card aria-label="Take a copy">
          <Title order={2}>Put a copy in its place</Title>
          {data.copies.length === 0 ? (
            <Text inherit c="dimmed">
              There is no copy in Tambo’s folder. If you have taken one away, put the file into its “backups” folder and look again.
            </Text>
          ) : (
            <Rows>
              {data.copies.map((c, i) => (
                <li key={c.name}>
                  <Box className="grow">
                    <b>{sayDayYear(c.day)}</b>
                    <Text component="div" size="xs" c="dimmed">
                      made at {clockOf(c.madeAt, zone)}
                      {i === 0 ? ', the newest' : ''}
                    </Text>
                  </Box>
                  <Button
                    variant={i === 0 ? 'filled' : 'outline'}
                    disabled={busy || looking.running}
                    onClick={() =>
                      looking.start(async () => {
                        const { id, jobId } = await askLook(c.name).unwrap();
                        setChosen({ id, name: c.name });
                        return jobId;
                      })
                    }
                  >
                    Look at it
                  </Button>
                </li>
              ))}
            </Rows>
          )}
          <JobProgress run={looking} />
          {look && chosen && (
            <Note tone="good" mt={12}>
              <p>
                This copy is whole: {look.manifest.household}, {look.manifest.counts.inStore} packs in store, {look.manifest.counts.events}{' '}
                entries, made on {sayDayYear(dayOf(look.manifest.madeAt, zone))}. What was entered after that is only in the damaged file,
                and what still waits on a device is sent as ever.
              </p>
              <Button mt={10} disabled={busy} onClick={() => act(takeCopy(chosen.id).unwrap())}>
                Put this copy in place
              </Button>
            </Note>
          )}
        </Card>
        <Card aria-label="Begin anew">
          <Title order={2}>Or begin anew</Title>
          <Text inherit c="dimmed">
            The damaged file is put aside and Tambo begins with an empty household. A copy can still be put in place later.
          </Text>
          {sure ? (
            <Group wrap="nowrap" mt={10}>
              <Button disabled={busy} onClick={() => act(putAside().unwrap())}>
                Yes, begin with nothing
              </Button>
              <Button variant="outline" onClick={() => setSure(false)}>
                No
              </Button>
            </Group>
          ) : (
            <Button variant="outline" mt={10} onClick={() => setSure(true)}>
              Put the file aside
            </Button>
          )}
        </Card>
      </Stack>
      {problem && (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      )}
    </Page>
  );
}
