import { memo } from 'react';
import type { Revision } from '#core/contract';
import { sayMinutes } from '#core/kitchen';
import type { Passage } from '#core/recipe';

/** The method, with hands and waiting at this size. */
export const StepsCard = memo(function StepsCard({ revision, passage }: { revision: Revision; passage: Passage | undefined }) {
  return (
    <section className="card" aria-label="Steps" id="method">
      <h2>Steps</h2>
      <ol className="rows">
        {revision.steps.map((s, i) => {
          const waits = Math.round(s.waitMin + (passage?.waits[s.id] ?? 0));
          const hands = Math.round(s.handsOnMin + (passage?.hands[s.id] ?? 0));
          const moved = waits !== s.waitMin || hands !== s.handsOnMin;
          return (
            <li key={s.id} style={{ alignItems: 'flex-start' }}>
              <span className="mid" style={{ color: 'var(--rim)', minWidth: 26 }}>
                {i + 1}
              </span>
              <div className="grow">
                <div style={{ fontSize: 17 }}>{s.text}</div>
                <div className="sub" style={{ fontSize: 15 }}>
                  {sayMinutes(hands)} of hands{s.handsOnPerKgMin ? ` and ${s.handsOnPerKgMin} min a kilo` : ''}
                  {waits > 0 ? `, ${sayMinutes(waits)} by itself` : ''}
                  {moved
                    ? ` at this size (written: ${sayMinutes(s.handsOnMin)}${s.waitMin > 0 ? ` and ${sayMinutes(s.waitMin)}` : ''})`
                    : ''}
                  {s.guess ? ' (guessed)' : ''}.{s.cue && <b> Done when: {s.cue}.</b>}
                </div>
              </div>
            </li>
          );
        })}
      </ol>
    </section>
  );
});
