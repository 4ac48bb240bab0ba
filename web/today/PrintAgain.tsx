import { Link } from 'react-router';
import { countOf } from '#core/kitchen';
import type { TodayAnswer } from '#core/queries';
import { NotFor } from '../ui/ui.tsx';

/** Packs whose label no longer tells the truth about allergies, a dish to a row; each code leads to its label. */
export function PrintAgain({ count, packs }: TodayAnswer['printAgain']) {
  if (count === 0) return null;
  const dishes = new Map<string, TodayAnswer['printAgain']['packs']>();
  for (const p of packs) {
    const key = `${p.name} ${p.notFor.join()}`;
    dishes.set(key, [...(dishes.get(key) ?? []), p]);
  }
  return (
    <section className="card" aria-label="Print again" style={{ borderTopColor: 'var(--tomato)', marginBottom: 16 }}>
      <h2>{countOf(count, 'label')} to print again</h2>
      <p className="quiet">What is known of allergies has changed since they were printed. Do not serve by these labels.</p>
      <ul className="rows">
        {[...dishes].map(([key, same]) => (
          <li key={key}>
            <div className="grow">
              <b>{same[0]?.name}</b>
              <NotFor says={same[0]?.notFor ?? []} />
            </div>
            <span className="row wrap" style={{ gap: 6 }}>
              {same.map((p) => (
                <Link key={p.packId} className="tag t" to={`/p/${p.code}`} aria-label={`Print the label of ${p.name}, ${p.code}, again`}>
                  {p.code}
                </Link>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
