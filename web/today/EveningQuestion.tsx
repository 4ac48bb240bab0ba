import { Link } from 'react-router';
import { eat } from '#core/commands';
import { eatenAsPlanned } from '#core/eat';
import { isDinner } from '#core/kitchen';
import type { TodayAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { NotFor } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';

/** Once an evening: as planned, or changed. Unanswered, the packs count as probably eaten tomorrow. */
export function EveningQuestion({ data, dish }: { data: TodayAnswer; dish: string }) {
  const { log } = useCommands();
  const packs = data.view.tonight.packs.filter(isDinner);
  const asPlanned = (): void => {
    const byId = new Map(packs.map((p) => [p.packId, p]));
    const meal = eatenAsPlanned(packs, data.eaters, data.view.tonight.guests, { day: data.today, meal: 'dinner' });
    void log(
      meal.map((m) => eat(byId.get(m.packId) ?? m, m.data)),
      `${dish}: eaten as planned`,
    );
  };
  return (
    <section className="card row wrap" style={{ borderTopColor: 'var(--saffron-fill)', marginBottom: 16 }} aria-label="This evening">
      <KindMark kind={packs[0]?.kind ?? 'meal'} size={34} />
      <div className="grow">
        <h2>Was dinner as planned?</h2>
        <p className="quiet">{dish}, for everybody at the table tonight.</p>
        <NotFor says={data.view.tonight.notFor} />
      </div>
      <button type="button" className="btn l" onClick={asPlanned}>
        Yes
      </button>
      <Link className="btn l o" to="/eat?log=tonight">
        Changed
      </Link>
    </section>
  );
}
