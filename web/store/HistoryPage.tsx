import { useState } from 'react';
import { clockOf, dayOf, sayWeekday } from '#core/kitchen';
import { useFrameQuery, useHistoryQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { Empty, PageHead, Waiting } from '../app/ui.tsx';

/** Everything logged and changed, the newest first; each can be taken back. */
export function HistoryPage() {
  const { data, error, refetch } = useHistoryQuery();
  const frame = useFrameQuery().data;
  const { undo } = useCommands();
  const [q, setQ] = useState('');
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const shown = data.entries.filter((e) => e.says.toLowerCase().includes(q.toLowerCase()));
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
      </PageHead>
      {shown.length === 0 ? (
        <Empty title="Nothing here" text="Once something is logged or changed, it stands here and can be taken back." />
      ) : (
        <section className="card" aria-label="Entries">
          <ul className="rows">
            {shown.map((e) => (
              <li key={e.id} style={e.undone ? { textDecoration: 'line-through', color: 'var(--quiet)' } : undefined}>
                <span className="sub" style={{ width: 150 }}>
                  {sayWeekday(dayOf(e.at, zone))} {clockOf(e.at, zone)}
                </span>
                <div className="grow">{e.says}</div>
                {!e.undone && (
                  <button
                    type="button"
                    className="link s"
                    aria-label={`Take back: ${e.says}`}
                    onClick={() =>
                      void undo(
                        e.type === 'event'
                          ? { kind: 'events', events: [{ id: e.id, subjects: e.subjects }] }
                          : { kind: 'write', writeId: e.id },
                      )
                    }
                  >
                    take back
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}
