import { Link, useParams } from 'react-router';
import { listOf, sayDayYear, sayLongDay } from '#core/kitchen';
import { allergenLines } from '#core/recipe';
import { useKitchenQuery, useSessionQuery } from '../app/api.ts';
import { Empty, PageHead, Waiting } from '../app/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';

/** The session sheet: for each dish all that a label may have had no room for, with the codes it stands under. Made for paper. */
export function SheetPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useSessionQuery(id);
  const kitchen = useKitchenQuery().data;
  if (!data || !kitchen) return <Waiting error={error} refetch={() => void refetch()} />;
  const names = new Map(Object.entries(kitchen.allergenNames));
  const filled = data.batches.filter((b) => b.packs.length > 0);
  return (
    <main className="page">
      <PageHead
        title={data.session.name}
        lead={`Session sheet, ${sayLongDay(data.session.day)}. Keep it by the freezer: a label refers to it when its text did not fit.`}
      >
        <button type="button" className="btn" onClick={() => window.print()}>
          Print the sheet
        </button>
        <Link className="btn o" to={`/pack/${id}/labels`}>
          Labels
        </Link>
      </PageHead>
      {filled.length === 0 ? (
        <Empty title="No packs yet" text="Once the first dish is packed, its heating, thawing and allergens stand here in full.">
          <Link className="btn" to={`/pack/${id}`}>
            Pack
          </Link>
        </Empty>
      ) : (
        <div className="stack">
          {filled.map((b) => {
            const pack = b.packs[0];
            if (!pack) return null;
            const heats = [...new Set(b.packs.flatMap((p) => p.reheat))];
            const thaws = [...new Set(b.packs.flatMap((p) => (p.thaw ? [p.thaw] : [])))];
            return (
              <section key={b.batch.id} className="card" aria-label={b.revision.name}>
                <div className="cardhead">
                  <h2 className="row" style={{ gap: 10 }}>
                    <KindMark kind={b.revision.kind} size={24} />
                    {b.revision.name}
                  </h2>
                  <span>
                    best by <b>{sayDayYear(pack.bestBy)}</b>
                  </span>
                </div>
                <p style={{ letterSpacing: 1 }}>{b.packs.map((p) => p.code).join('  ')}</p>
                <ul className="rows">
                  {allergenLines(pack.allergens, names).map((a) => (
                    <li key={a}>{a.startsWith('none') ? `Holds ${a}` : a}</li>
                  ))}
                  {pack.cautions.map((c) => (
                    <li key={c}>
                      <b>{c}</b>
                    </li>
                  ))}
                  {pack.addOnDay.length > 0 && <li>Add on the day: {listOf(pack.addOnDay)}</li>}
                  {heats.map((h) => (
                    <li key={h}>{h}</li>
                  ))}
                  {thaws.map((t) => (
                    <li key={t}>Thaw {t}</li>
                  ))}
                </ul>
              </section>
            );
          })}
        </div>
      )}
    </main>
  );
}
