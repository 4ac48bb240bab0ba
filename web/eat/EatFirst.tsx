import { useState } from 'react';
import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { sayNear, sayWeekday } from '#core/kitchen';
import type { EatAnswer, PackBrief } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf, datedAs } from '../ui/packWords.ts';

export const isDinner = (p: PackBrief): boolean => p.dinner;

export function EatFirst({ data, onLog }: { data: EatAnswer; onLog: (packId: string) => void }) {
  const { log } = useCommands();
  const [q, setQ] = useState('');
  const open = data.evenings.find(
    (e) =>
      e.quarters > 0 &&
      !(e.day === data.today && data.tonightLogged) &&
      e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0) < e.quarters,
  );
  const list = data.eatFirst.filter((p) => p.name.toLowerCase().includes(q.toLowerCase()) || p.code.toLowerCase() === q.toLowerCase());
  const put = (p: PackBrief, day: string): void =>
    void log(planFor([p], day), day ? `${p.name} is planned for ${sayNear(day, data.today)}` : `${p.name} is no longer planned`);
  return (
    <section className="card" aria-label="Eat first">
      <div className="cardhead">
        <h2>Eat first</h2>
        <input
          className="field"
          type="search"
          style={{ width: 170 }}
          placeholder="Name or code"
          aria-label="Filter eat first"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
      </div>
      {list.length === 0 ? (
        <p className="quiet">{data.eatFirst.length === 0 ? 'Nothing frozen is left. Plan a session.' : 'Nothing of that name.'}</p>
      ) : (
        <ul
          className="rows"
          style={{ maxHeight: 860, overflow: 'auto', paddingRight: 6 }}
          tabIndex={0}
          aria-label="Packs, the soonest due first"
        >
          {list.map((p) => (
            <li key={p.packId}>
              <KindMark kind={p.kind} size={24} />
              <div className="grow">
                <Link className="main" to={`/p/${p.code}`}>
                  {p.name}, {amountOf(p)}
                </Link>
                <div className="sub">
                  {datedAs(p)}, {p.code}
                </div>
                <NotFor says={p.notFor} />
              </div>
              {isDinner(p) && open && !p.planned && (
                <button type="button" className="btn o s" onClick={() => put(p, open.day)}>
                  for {sayNear(open.day, data.today)}
                </button>
              )}
              {isDinner(p) && (
                <select
                  className="field"
                  style={{ minHeight: 32, padding: '3px 6px', fontSize: 15 }}
                  aria-label={`Evening for ${p.name} ${p.code}`}
                  value={p.planned?.day ?? ''}
                  onChange={(e) => put(p, e.currentTarget.value)}
                >
                  <option value="">evening</option>
                  {data.evenings.map((e) => (
                    <option key={e.day} value={e.day}>
                      {sayNear(e.day, data.today)}
                    </option>
                  ))}
                  {p.planned && !data.evenings.some((e) => e.day === p.planned?.day) && (
                    <option value={p.planned.day}>{sayWeekday(p.planned.day)}</option>
                  )}
                </select>
              )}
              <button type="button" className="link s" onClick={() => onLog(p.packId)} aria-label={`Log ${p.name} ${p.code} as eaten`}>
                eaten
              </button>
              <DueTag due={p.due} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
