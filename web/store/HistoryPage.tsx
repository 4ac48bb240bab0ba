import { useState } from 'react';
import { clockOf, dayOf, sayWeekday } from '#core/kitchen';
import { useFrameQuery, useHistoryQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { Empty, PageHead, Waiting } from '../app/ui.tsx';

/** Entries brought in at a time, and the most that are. */
const step = 120;
const most = 500;

/** Everything logged and changed, the newest first; each can be taken back, and what was taken back can be brought back. */
export function HistoryPage() {
  const [limit, setLimit] = useState(step);
  const { data, error, refetch } = useHistoryQuery(limit);
  const frame = useFrameQuery().data;
  const { undo } = useCommands();
  const [q, setQ] = useState('');
  const [type, setType] = useState<'event' | 'change'>();
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const shown = data.entries.filter((e) => (!type || e.type === type) && e.says.toLowerCase().includes(q.toLowerCase()));
  return (
    <main className="page">
      <PageHead title="History" lead="What was logged and changed lately. Nothing is overwritten: taking back is a new entry.">
        <input
          className="field"
          type="search"
          placeholder="Find in history"
          aria-label="Find in history"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
        <div className="chips" role="group" aria-label="What kind">
          {(
            [
              ['event', 'logged'],
              ['change', 'changed'],
            ] as const
          ).map(([id, name]) => (
            <button
              type="button"
              key={id}
              className="chip"
              aria-pressed={type === id}
              onClick={() => setType(type === id ? undefined : id)}
            >
              {name}
            </button>
          ))}
        </div>
      </PageHead>
      {shown.length === 0 ? (
        <Empty
          title={data.entries.length === 0 ? 'Nothing yet' : 'Nothing of that kind'}
          text={
            data.entries.length === 0
              ? 'Once something is logged or changed, it stands here and can be taken back.'
              : 'Nothing lately matches. Try fewer letters, or show older entries.'
          }
        />
      ) : (
        <section className="card" aria-label="Entries">
          <ul className="rows">
            {shown.map((e) => (
              <li key={e.id} style={e.undone ? { textDecoration: 'line-through', color: 'var(--quiet)' } : undefined}>
                <span className="sub" style={{ width: 150 }}>
                  {sayWeekday(dayOf(e.at, zone))} {clockOf(e.at, zone)}
                </span>
                <div className="grow">{e.says}</div>
                {e.undoneBy && (
                  <button
                    type="button"
                    className="link s"
                    aria-label={`Bring back: ${e.says}`}
                    onClick={() =>
                      void undo(
                        e.type === 'event'
                          ? { kind: 'events', events: [{ id: e.undoneBy ?? '', subjects: e.subjects, ...(e.seen && { seen: e.seen }) }] }
                          : { kind: 'write', writeId: e.undoneBy ?? '', ...(e.seen && { seen: e.seen }) },
                      )
                    }
                  >
                    bring back
                  </button>
                )}
                {!e.undone && (
                  <button
                    type="button"
                    className="link s"
                    aria-label={`Take back: ${e.says}`}
                    onClick={() =>
                      void undo(
                        e.type === 'event'
                          ? { kind: 'events', events: [{ id: e.id, subjects: e.subjects, ...(e.seen && { seen: e.seen }) }] }
                          : { kind: 'write', writeId: e.id, ...(e.seen && { seen: e.seen }) },
                      )
                    }
                  >
                    take back
                  </button>
                )}
              </li>
            ))}
          </ul>
          {data.entries.length >= limit && limit < most && (
            <button type="button" className="btn o" style={{ marginTop: 12 }} onClick={() => setLimit(Math.min(most, limit + step))}>
              Show older
            </button>
          )}
        </section>
      )}
    </main>
  );
}
