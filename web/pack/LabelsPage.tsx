import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { markLabelled } from '#core/commands';
import { countOf } from '#core/kitchen';
import { a4Grid21, type LabelResult } from '#core/pack';
import { useLabelsQuery, useSessionsQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Empty, PageHead, Waiting } from '../ui/ui.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { LabelDrawings } from './LabelDrawings.tsx';
import { previewOf } from './usePreview.ts';

const sheetsOf = (r: LabelResult | undefined): number => (r?.ok ? r.labels.length : 0);
const perSheet = a4Grid21.columns * a4Grid21.rows;

/** Labels of a session: which packs, from which free label of the sheet, as a PDF; or written by hand. */
export function LabelsPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useLabelsQuery(id);
  const sessions = useSessionsQuery().data;
  const { log } = useCommands();
  const [start, setStart] = useState(1);
  const [all, setAll] = useState(false);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const bare = data.labels.filter((l) => !data.says[l.packId]?.labelled).length;
  const chosen = data.labels.filter((l) => all || !data.says[l.packId]?.labelled || data.says[l.packId]?.printAgain);
  const drawn = new Map(chosen.map((l) => [l.packId, previewOf(l, data.address)]));
  /** Labels on the sheet: a pack whose words need two has two. */
  const cells = chosen.reduce((n, l) => n + sheetsOf(drawn.get(l.packId)), 0);
  const href = `/api/labels.pdf?packs=${chosen.map((l) => l.packId).join(',')}&start=${start}`;
  const mark = (how: 'printed' | 'hand'): void => {
    const ids = chosen.map((l) => l.packId);
    void log(
      ids.map((packId) => markLabelled({ packId, seen: data.says[packId]?.seen }, how, data.says[packId]?.allergy ?? '')),
      how === 'printed' ? `${countOf(ids.length, 'label')} printed and stuck on` : `${countOf(ids.length, 'code')} written by hand`,
    );
  };
  return (
    <main className="page">
      {brief && <SessionHeader brief={brief} here={`/pack/${id}/labels`} />}
      <PageHead
        title="Labels"
        lead={`${countOf(data.labels.length, 'pack')}, ${bare === 0 ? 'all labelled' : `${bare} without a label`}. ${a4Grid21.name}.`}
      >
        <button type="button" className="chip" aria-pressed={all} onClick={() => setAll(!all)}>
          All packs again
        </button>
        <Link className="btn o" to={`/pack/${id}/sheet`}>
          Session sheet
        </Link>
      </PageHead>
      {data.labels.length === 0 ? (
        <Empty title="No packs yet" text="Fill the containers first; each pack then has its code and its label.">
          <Link className="btn" to={`/pack/${id}`}>
            Pack
          </Link>
        </Empty>
      ) : (
        <div className="grid" style={{ gridTemplateColumns: '300px minmax(0,1fr)', alignItems: 'start' }}>
          <div className="stack">
            <section className="card" aria-label="Sheet">
              <h2>First free label</h2>
              <p className="sub" style={{ marginBottom: 8, fontSize: 15 }}>
                Tap where a started sheet goes on.
              </p>
              <div
                role="radiogroup"
                aria-label="First free label of the sheet"
                style={{
                  display: 'grid',
                  gridTemplateColumns: 'repeat(3,1fr)',
                  gap: 4,
                  background: 'var(--pale)',
                  border: '1.5px solid var(--rim)',
                  padding: 8,
                  borderRadius: 4,
                }}
              >
                {Array.from({ length: perSheet }, (_, i) => {
                  const n = i + 1;
                  const used = n >= start && n < start + cells;
                  return (
                    <button
                      type="button"
                      key={n}
                      role="radio"
                      aria-checked={n === start}
                      aria-label={`Label ${n}`}
                      onClick={() => setStart(n)}
                      style={{
                        height: 34,
                        borderRadius: 4,
                        border: `1.5px solid ${used ? 'var(--rim)' : 'var(--rim-soft)'}`,
                        background: used
                          ? 'var(--rim)'
                          : n < start
                            ? 'repeating-linear-gradient(45deg,var(--card),var(--card) 3px,var(--frost) 3px,var(--frost) 5px)'
                            : 'var(--card)',
                        color: used ? 'var(--on-rim)' : 'var(--ink)',
                        font: '600 14px var(--text)',
                        cursor: 'pointer',
                      }}
                    >
                      {n}
                    </button>
                  );
                })}
              </div>
              <p className="sub" style={{ marginTop: 8, fontSize: 15 }}>
                {countOf(cells, 'label')} on {countOf(Math.max(1, Math.ceil((start - 1 + cells) / perSheet)), 'sheet')}.
              </p>
              {chosen.length > 0 && (
                <div className="stack" style={{ gap: 8, marginTop: 12 }}>
                  <a className="btn" href={href} target="_blank" rel="noreferrer">
                    Open the PDF
                  </a>
                  <button type="button" className="btn o" onClick={() => mark('printed')}>
                    Printed and stuck on
                  </button>
                </div>
              )}
            </section>
            <section className="card" aria-label="By hand">
              <h2>No printer to hand?</h2>
              <p style={{ fontSize: 15 }}>
                Write the code big on each lid, with the dish and the best-by date. The rest stands here under the code.
              </p>
              {chosen.length > 0 && (
                <button type="button" className="btn o" style={{ marginTop: 10 }} onClick={() => mark('hand')}>
                  {countOf(chosen.length, 'code')} written by hand
                </button>
              )}
            </section>
          </div>
          {chosen.length === 0 ? (
            <Empty title="All labelled" text="Every pack of this session carries its label. Choose “All packs again” to print one anew." />
          ) : (
            <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill,minmax(330px,1fr))', gap: 12 }}>
              {chosen.map((content) => {
                const result = drawn.get(content.packId);
                return (
                  <div key={content.packId}>
                    {result && <LabelDrawings result={result} />}
                    <div className="row" style={{ justifyContent: 'space-between', marginTop: 4 }}>
                      <span className="mid" style={{ letterSpacing: 2 }}>
                        {content.code}
                      </span>
                      {data.says[content.packId]?.printAgain && <span className="tag t">print again</span>}
                      {result?.ok && result.moved.length > 0 && <span className="sub">more on the session sheet</span>}
                    </div>
                  </div>
                );
              })}
            </div>
          )}
        </div>
      )}
    </main>
  );
}
