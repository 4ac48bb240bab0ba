import type { JobRun } from '../sync/useJob.ts';

/** How far a long job has come, with a way to stop it, or why it did not work. */
export function JobProgress({ run }: { run: JobRun }) {
  if (run.error)
    return (
      <p className="note bad" role="alert" style={{ marginTop: 12 }}>
        {run.error.message}
        {run.error.refusals.length > 0 && ` Expected ${run.error.refusals[0]?.expected ?? ''}, got ${run.error.refusals[0]?.got ?? ''}.`}
      </p>
    );
  if (!run.running) return null;
  const says = run.job?.says ?? 'Starting';
  const share = run.job?.share ?? 0;
  return (
    <div className="row" style={{ marginTop: 12 }} role="status">
      <div className="grow">
        <div className="sub">{says}</div>
        <div
          className="bar"
          role="progressbar"
          aria-label={says}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(share * 100)}
        >
          <i style={{ width: `${share * 100}%` }} />
        </div>
      </div>
      <button type="button" className="btn o s" onClick={run.stop}>
        Stop
      </button>
    </div>
  );
}
