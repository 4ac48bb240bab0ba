import { Stack } from '@mantine/core';
import { useEffect, useState } from 'react';
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
    <div style={{ marginTop: 14 }}>
      <p className="note">
        A copy of <b>{manifest.household}</b>, made {sayWeekday(dayOf(manifest.madeAt, zone))} at {clockOf(manifest.madeAt, zone)}.{' '}
        {look.sameHousehold ? 'It is this household.' : 'It is another household than the one that runs here.'}
      </p>
      <table className="plain" style={{ maxWidth: 560, marginTop: 10 }}>
        <thead>
          <tr>
            <th> </th>
            <th className="num">here now</th>
            <th className="num">in the copy</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([key, name]) => (
            <tr key={key}>
              <td>{name}</td>
              <td className="num">{here?.[key].toLocaleString('en-GB') ?? '?'}</td>
              <td className="num" style={here?.[key] === manifest.counts[key] ? undefined : { fontWeight: 700 }}>
                {manifest.counts[key].toLocaleString('en-GB')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={look.onlyHere > 0 ? 'note warn' : 'note good'} style={{ marginTop: 12 }}>
        {look.onlyHere > 0
          ? `${countOf(look.onlyHere, 'entry', 'entries')} logged here ${look.onlyHere === 1 ? 'is' : 'are'} not in this copy. A copy of the household as it is now is made first, so that ${look.onlyHere === 1 ? 'it is' : 'they are'} not lost.`
          : 'Everything that is logged here is in this copy too.'}{' '}
        {look.onlyThere > 0 && `${countOf(look.onlyThere, 'entry', 'entries')} would come back.`}
      </p>
      {look.leftOut.length > 0 && (
        <p className="note warn" style={{ marginTop: 8 }}>
          {countOf(look.leftOut.length, 'row')} cannot be read and would be left out:{' '}
          {look.leftOut
            .slice(0, 4)
            .map((x) => `${x.table} ${x.id} (${x.why})`)
            .join('; ')}
          .
        </p>
      )}
      <div className="row" style={{ marginTop: 14 }}>
        <button type="button" className="btn" disabled={busy} onClick={onTake}>
          {busy ? 'Putting it in place...' : 'Put this copy in place'}
        </button>
        <button type="button" className="btn o" disabled={busy} onClick={onLeave}>
          Leave things as they are
        </button>
      </div>
    </div>
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
    <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1fr) minmax(0,1fr)', alignItems: 'start' }}>
      <section className="card" aria-label="Back up">
        <h2>Back up</h2>
        <p style={{ marginBottom: 12 }}>One file with everything: the database, and all of it again as open JSON for other programs.</p>
        <button
          type="button"
          className="btn l"
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
        </button>
        <JobProgress run={making} />
        {made && name && (
          <p className="note good" style={{ marginTop: 12 }} role="status">
            Done. If it did not come down by itself: <a href={`/api/backup/${name}`}>{name}</a>
          </p>
        )}
        <h3 style={{ margin: '18px 0 4px' }}>Kept here</h3>
        {(data?.startSaid !== undefined || data?.missedSince !== undefined) && (
          <Stack gap={8} my={8} role="status">
            {data.startSaid && <p className="note warn">{data.startSaid}</p>}
            {data.missedSince && (
              <p className="note warn">
                No daily copy since {sayDayYear(data.missedSince)}: Tambo was not running, or there was no room. Back up now.
              </p>
            )}
          </Stack>
        )}
        <p className="sub" style={{ fontSize: 15 }}>
          Tambo makes one a day by itself and keeps 7 days, 4 weeks and 12 months of them, in {data?.folder ?? 'its folder'}. A copy on this
          machine is lost with it: take one away now and then, or name a second place.
        </p>
        <ul className="rows" style={{ maxHeight: 320, overflow: 'auto' }} tabIndex={0} aria-label="Copies kept here">
          {(data?.copies ?? []).map((c) => (
            <li key={c.name}>
              <div className="grow">
                <b>{sayDayYear(c.day)}</b>
                <div className="sub">{kinds[c.kind]}</div>
              </div>
              <span className="quiet">{sizeOf(c.bytes)}</span>
              <a className="link s" href={`/api/backup/${c.name}`} download aria-label={`Take the copy of ${sayDayYear(c.day)}`}>
                take
              </a>
              <button
                type="button"
                className="link s"
                aria-label={`Look at the copy of ${sayDayYear(c.day)}`}
                disabled={looking.running}
                onClick={() => lookAt(c.name)}
              >
                look
              </button>
            </li>
          ))}
          {data?.copies.length === 0 && <li className="quiet">None yet. The first comes within the hour, or by the button above.</li>}
        </ul>
        {data && <SecondPlace away={data.away} zone={zone} />}
      </section>
      <section className="card" aria-label="Restore or move in">
        <h2>Restore, or move in</h2>
        <p style={{ marginBottom: 12 }}>
          Choose a backup, from here or from another machine. You see what would change before anything does. To move a household: back up
          there, start Tambo here, choose the file.
        </p>
        <label className="btn o" style={{ position: 'relative' }}>
          Choose a backup
          <input
            type="file"
            accept=".zip,application/zip"
            className="sr"
            aria-label="Backup file"
            onChange={(e) => {
              const file = e.currentTarget.files?.[0];
              e.currentTarget.value = '';
              if (!file) return;
              lookAt(file);
            }}
          />
        </label>
        <JobProgress run={looking} />
        {look && <LookAt look={look} zone={zone} onTake={take} onLeave={leave} busy={busy} />}
        {problem && (
          <p className="note bad" role="alert" style={{ marginTop: 12 }}>
            {problem}
          </p>
        )}
      </section>
    </div>
  );
}
