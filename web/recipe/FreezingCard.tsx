import { memo } from 'react';
import type { FreezeFlag } from '#core/recipe';
import { capital } from '#core/kitchen';
import { Why } from '../ui/ui.tsx';

const placeWords: Readonly<Record<FreezeFlag['place'], string>> = {
  inside: 'freeze it with the dish',
  onTheDay: 'add it on the day',
  beside: 'serve it beside',
};

/** What freezes badly or changes, each with a way round. */
export const FreezingCard = memo(function FreezingCard({ flags, keeps }: { flags: readonly FreezeFlag[]; keeps: string }) {
  return (
    <section className="card" aria-label="Freezing">
      <h2>How it freezes</h2>
      <p>Keeps {keeps}.</p>
      {flags.length === 0 ? (
        <p className="sub">Nothing in it is known to freeze badly.</p>
      ) : (
        <ul className="rows" style={{ marginTop: 6 }}>
          {flags
            .toSorted((a, b) => Number(b.fitness === 'badly') - Number(a.fitness === 'badly'))
            .map((f) => (
              <li key={f.lineId}>
                <div className="grow">
                  <b>{capital(f.name)}</b>{' '}
                  <span className={`tag ${f.fitness === 'badly' ? 't' : 's'}`}>
                    {f.fitness === 'badly' ? placeWords[f.place] : 'changes'}
                  </span>
                  <div className="sub" style={{ fontSize: 15 }}>
                    {capital(f.what)}. {capital(f.advice)}.
                  </div>
                </div>
                <Why label={`freezing ${f.name}`}>
                  About quality, not safety: frozen steadily it does not go off, it changes. Source: {f.source}.
                </Why>
              </li>
            ))}
        </ul>
      )}
    </section>
  );
});
