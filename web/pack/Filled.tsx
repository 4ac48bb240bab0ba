import { useState } from 'react';
import { Link } from 'react-router';
import { markLabelled, putAway } from '#core/commands';
import type { Place } from '#core/contract';
import { countOf, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { PackedBatch } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { datedAs } from '../ui/packWords.ts';
import { SpotSelect, type Spot } from '../ui/SpotSelect.tsx';

/** Packs of this dish once filled: put away together, labels next. */
export function Filled({ b, places, sessionId }: { b: PackedBatch; places: readonly Place[]; sessionId: string }) {
  const { log } = useCommands();
  const cold = places.filter((p) => p.kind === 'freezer' || p.kind === 'chest');
  const preferred = cold.find((p) => p.prefers.includes(b.revision.kind)) ?? cold[0];
  const [at, setAt] = useState<Spot>({ placeId: preferred?.id ?? '', zoneId: preferred?.zones[0]?.id ?? '' });
  const loose = b.packs.filter((p) => !p.placeId && p.left > 0);
  const unlabelled = b.packs.filter((p) => !p.labelled);
  const put = (): void => {
    void log(putAway(loose, at), `${b.revision.name}: put away`);
  };
  return (
    <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.4fr) minmax(0,1fr)', alignItems: 'start', marginTop: 14 }}>
      <section className="card" aria-label="Packs">
        <h2>
          {countOf(b.packs.length, 'pack')} of {b.revision.name}
        </h2>
        <ul className="rows" style={{ columns: '2 240px', columnGap: 28 }}>
          {b.packs.map((p) => (
            <li key={p.packId} style={{ breakInside: 'avoid' }}>
              <KindMark kind={p.kind} size={22} />
              <div className="grow">
                <Link className="main" to={`/p/${p.code}`}>
                  {p.code}
                </Link>
                <div className="sub">
                  {sayPortions(p.portions)} {portionName(p.kind, p.portions)}, {datedAs(p)}
                </div>
              </div>
              {p.labelled ? null : <span className="tag t">no label</span>}
              {p.placeId ? <span className="tag l">away</span> : null}
            </li>
          ))}
        </ul>
      </section>
      <div className="stack">
        {loose.length > 0 && (
          <section className="card" aria-label="Put away">
            <h2>Put them away</h2>
            <p className="sub" style={{ marginBottom: 8, fontSize: 15 }}>
              Cold first: under 5 °C, then in one layer.
            </p>
            <div className="row wrap">
              <SpotSelect label="Where to" places={cold} spot={at} onChoose={setAt} />
              <button type="button" className="btn" disabled={cold.length === 0} onClick={put}>
                {countOf(loose.length, 'pack')} put away
              </button>
            </div>
          </section>
        )}
        <section className="card" aria-label="Labels">
          <h2>Labels</h2>
          {unlabelled.length === 0 ? (
            <p>Every pack has its label.</p>
          ) : (
            <>
              <p style={{ marginBottom: 10 }}>{countOf(unlabelled.length, 'pack')} without one.</p>
              <div className="row wrap">
                <Link className="btn" to={`/pack/${sessionId}/labels`}>
                  Print labels
                </Link>
                <button
                  type="button"
                  className="btn o"
                  onClick={() =>
                    void log(
                      unlabelled.map((p) => markLabelled(p, 'hand')),
                      'Written by hand',
                    )
                  }
                >
                  Written by hand
                </button>
              </div>
            </>
          )}
        </section>
      </div>
    </div>
  );
}
