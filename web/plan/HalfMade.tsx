import { Link } from 'react-router';
import { sayWeekday } from '#core/kitchen';
import { useAppSelector } from '../sync/store.ts';
import { readPlanDraft } from './planDraft.ts';

/** Plans that were begun on this device and not kept yet. */
export function HalfMade() {
  const drafts = useAppSelector((s) => s.drafts.byKey);
  const plans = Object.entries(drafts).flatMap(([key, d]) => {
    const plan = d.kind === 'plan' ? readPlanDraft(d.present) : undefined;
    return plan ? [{ key, path: d.path, name: d.name, day: plan.day }] : [];
  });
  return plans.map((p) => (
    <div className="note row wrap" role="status" key={p.key} style={{ marginBottom: 14 }}>
      <span className="grow">
        <b>{p.name}</b> for {sayWeekday(p.day)} is half made, on this device only.
      </span>
      <Link className="btn o s" to={p.path}>
        Go on
      </Link>
    </div>
  ));
}
