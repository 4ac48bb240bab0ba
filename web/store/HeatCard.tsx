import { useMeasures } from '../sync/measures.ts';
import type { HeatTexts } from '#core/session';

/** How this pack is thawed and heated in this household: step by step, for its own weight and thickness. */
export function HeatCard({ heat, pack }: { heat: HeatTexts; pack: { massG: number; name: string } }) {
  const { sayMass } = useMeasures();
  const good = heat.ways.filter((w) => !w.refused);
  const refused = heat.ways.filter((w) => w.refused);
  return (
    <section className="card" aria-label="Thaw and heat">
      <div className="cardhead">
        <h2>Thaw and heat</h2>
        <span className="quiet">{heat.usual ? `usual times, for this pack of ${sayMass(pack.massG)}` : 'in the recipe’s own words'}</span>
      </div>
      {heat.thaw && (
        <p>
          <b>Thaw</b> {heat.thaw}.
        </p>
      )}
      {!heat.usual && heat.heat[0]?.[0] && <p>{heat.heat[0][0]}</p>}
      {heat.dose.map((d) => (
        <p key={d}>{d}.</p>
      ))}
      <ul className="rows">
        {good.map((w, i) => (
          <li key={w.id} style={{ display: 'block' }}>
            {i === 0 ? (
              <>
                <b>{w.title}.</b> {w.sentences.join(' ')}
              </>
            ) : (
              <details>
                <summary>{w.title}</summary>
                {w.sentences.join(' ')}
              </details>
            )}
          </li>
        ))}
        {refused.map((w) => (
          <li key={w.id} className="quiet">
            {w.sentences.join(' ')}
          </li>
        ))}
        {heat.notes.map((n) => (
          <li key={n}>{n}</li>
        ))}
      </ul>
    </section>
  );
}
