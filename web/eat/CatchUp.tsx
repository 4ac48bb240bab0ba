import { sayWeekday } from '#core/kitchen';
import type { EatAnswer } from '#core/queries';

/** Evenings lately of which nothing was written down: a forgotten dinner is logged for its own day. */
export function CatchUp({ data, onLog }: { data: EatAnswer; onLog: (day: string) => void }) {
  if (data.quiet.length === 0) return null;
  return (
    <section className="card" aria-label="Forgot to log">
      <h2>Forgot to log?</h2>
      <p className="sub" style={{ fontSize: 15, marginBottom: 8 }}>
        Nothing is written down for these evenings. If dinner was fresh or out, leave them.
      </p>
      <div className="chips wrapchips">
        {data.quiet.toReversed().map((day) => (
          <button type="button" key={day} className="chip" onClick={() => onLog(day)}>
            {sayWeekday(day)}
          </button>
        ))}
      </div>
    </section>
  );
}
