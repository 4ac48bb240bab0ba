import { Link } from 'react-router';
import { countOf, sayWeekday } from '#core/kitchen';
import { nextStep } from '#core/session';
import { type SessionBrief } from '#core/queries';
import { RoadShelf } from '../draw/RoadShelf.tsx';

/** Address of the next thing to do on a session's road. */
export function nextLink(s: Pick<SessionBrief, 'id' | 'state'>): { to: string; says: string } | undefined {
  if (!s.state.next) return undefined;
  const { to, says } = nextStep[s.state.next];
  return { says, to: to === 'labels' ? `/pack/${s.id}/labels` : to === 'store' ? '/store' : `/${to}/${s.id}` };
}

/** Where a session stands and the one thing to do next; carried through the stations. */
export function SessionHeader({ brief, here }: { brief: SessionBrief; here?: string }) {
  // a thumb at a station wants the work itself first
  const atStation = here !== undefined && !here.startsWith('/plan');
  const next = nextLink(brief);
  return (
    <section
      className={`card roadhead${atStation ? ' deskonly' : ''}`}
      style={{ marginBottom: 16, padding: '10px 16px' }}
      aria-label={`Road of ${brief.name}`}
    >
      <div className="row wrap" style={{ gap: 18 }}>
        <div className="grow" style={{ minWidth: 230 }}>
          <h2 style={{ margin: 0 }}>
            <Link to={`/plan/${brief.id}`} style={{ color: 'inherit', textDecoration: 'none' }}>
              {brief.name}
            </Link>
          </h2>
          <div className="sub">
            {sayWeekday(brief.day)}, {countOf(brief.dishes.length, 'dish', 'dishes')}
          </div>
        </div>
        <RoadShelf state={brief.state} width={540} />
        {next && next.to !== here && (
          <Link className="btn" to={next.to}>
            {next.says}
          </Link>
        )}
      </div>
    </section>
  );
}
