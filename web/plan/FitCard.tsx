import { sayMinutes, sayPortions } from '#core/kitchen';
import type { SessionParts } from '#core/queries';
import { Why } from '../ui/ui.tsx';
import { useMeasures } from '../sync/measures.ts';

/** Whether what is planned fits: containers, freezer, hours, pots. */
export function FitCard({ comesTo, busy }: { comesTo: SessionParts['draft'] | undefined; busy: boolean }) {
  const { sayVolume } = useMeasures();
  return (
    <section className="card" aria-label="Does it fit" aria-busy={busy}>
      <h2>{!comesTo || comesTo.fit.rows.length === 0 ? 'Does it fit?' : comesTo.fit.fits ? 'It fits' : 'It does not fit yet'}</h2>
      {!comesTo || comesTo.fit.rows.length === 0 ? (
        <p className="quiet">Pick a dish: containers, freezer room and hours are checked as you type.</p>
      ) : (
        comesTo.fit.rows.map((r) => {
          const share = r.have > 0 ? r.need / r.have : r.need > 0 ? 2 : 0;
          const say = (n: number): string =>
            r.unit === 'ml'
              ? sayVolume(Math.round(n / 100) * 100)
              : r.unit === 'min'
                ? sayMinutes(n)
                : r.unit === 'portion'
                  ? sayPortions(n)
                  : String(n);
          return (
            <div key={r.id} style={{ marginBottom: 12 }}>
              <div className="row" style={{ justifyContent: 'space-between' }}>
                <span>{r.name}</span>
                <span>
                  <b>{say(r.need)}</b> <span className="quiet">of {say(r.have)}</span> <Why label={r.name}>{r.says}.</Why>
                </span>
              </div>
              <div
                className={`bar${!r.fits ? ' over' : share > 0.85 ? ' tight' : ''}`}
                role="img"
                aria-label={`${r.name}: ${Math.round(share * 100)} %`}
              >
                <i style={{ width: `${Math.min(100, share * 100)}%` }} />
              </div>
              {!r.fits && (
                <div className="note bad" style={{ marginTop: 6 }}>
                  {r.says} Ways out: {r.waysOut.join('; ')}.
                </div>
              )}
            </div>
          );
        })
      )}
      {comesTo?.fit.binding && <p className="reading">{comesTo.fit.binding}</p>}
      {comesTo && comesTo.makespanMin > 0 && (
        <p className="sub" style={{ marginTop: 6 }}>
          No order of work ends before {sayMinutes(comesTo.boundMin)}.
        </p>
      )}
    </section>
  );
}
