import { useState } from 'react';
import { dayOf, sayDayYear } from '#core/kitchen';
import type { AwayAnswer } from '#core/queries';
import { sayError, useSecondPlaceMutation } from '../sync/api.ts';
import { Field } from './fields.tsx';

/** Where daily copies are brought besides: another disk, a stick. */
export function SecondPlace({ away, zone }: { away: AwayAnswer; zone: string }) {
  const [folder, setFolder] = useState(away.folder ?? '');
  const [keep, { isLoading: busy, error }] = useSecondPlaceMutation();
  const problem = error && sayError(error, 'Nothing was changed.');
  const day = (at: string | undefined): string => (at === undefined ? '' : sayDayYear(dayOf(at, zone)));
  return (
    <section aria-label="A second place" style={{ marginTop: 18 }}>
      <h3 style={{ margin: '0 0 4px' }}>A second place</h3>
      <p className="sub" style={{ fontSize: 15 }}>
        A folder on another disk or a stick: each daily copy is brought there too, and read back.
        {away.broughtAt && ` The last came there on ${day(away.broughtAt)}.`}
        {away.takenAt && ` One was taken away by hand on ${day(away.takenAt)}.`}
      </p>
      {away.problem && (
        <p className="note warn" role="status" style={{ marginTop: 8 }}>
          The last copy did not reach {away.folder}: {away.problem}. The copies kept here are whole.
        </p>
      )}
      <form
        className="row wrap"
        style={{ alignItems: 'flex-end', marginTop: 8 }}
        onSubmit={(e) => {
          e.preventDefault();
          void keep(folder.trim());
        }}
      >
        <Field label="Folder" value={folder} onChange={setFolder} />
        <button type="submit" className="btn o" disabled={busy || folder.trim() === (away.folder ?? '')}>
          {folder.trim() === '' && away.folder ? 'No second place' : 'Bring copies there'}
        </button>
      </form>
      {problem && (
        <p className="note bad" role="alert" style={{ marginTop: 8 }}>
          {problem.message}
          {problem.refusals[0] && ` Expected ${problem.refusals[0].expected}.`}
        </p>
      )}
    </section>
  );
}
