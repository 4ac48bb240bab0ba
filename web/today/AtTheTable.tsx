import { isPresent, withGuests, withPresence } from '#core/kitchen';
import type { TodayAnswer } from '#core/session';
import { useFrameQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';

/** Who dines at home tonight, each with one tap; guests beside them. Plates and runway follow everywhere. */
export function AtTheTable({ data }: { data: TodayAnswer }) {
  const household = useFrameQuery().data?.household;
  const { write } = useCommands();
  const { today } = data;
  const { guests } = data.view.tonight;
  if (!household) return null;
  const diners = data.eaters.filter((e) => e.stage !== 'baby');
  const setGuests = (plates: number): void =>
    void write(
      [{ table: 'household', id: household.id, data: { ...household, guests: withGuests(household.guests ?? [], today, plates, today) } }],
      plates === 0 ? 'No guests tonight' : plates === 1 ? 'One guest tonight' : `${plates} guests tonight`,
    );
  return (
    <div className="chips tonight" role="group" aria-label="At the table tonight">
      {diners.map((e) => {
        const there = isPresent(e.presence, today, 'dinner');
        return (
          <button
            type="button"
            key={e.id}
            className="chip"
            aria-pressed={there}
            aria-label={`${e.name} ${there ? 'dines here tonight' : 'is not here tonight'}`}
            onClick={() =>
              void write(
                [{ table: 'eater', id: e.id, data: withPresence(e, today, 'dinner', !there) }],
                there ? `${e.name} not tonight` : `${e.name} is there tonight`,
              )
            }
          >
            {there ? e.name : <s>{e.name}</s>}
          </button>
        );
      })}
      {guests > 0 && (
        <button
          type="button"
          className="chip on"
          aria-label={`${guests} ${guests === 1 ? 'guest' : 'guests'} tonight: one less`}
          onClick={() => setGuests(guests - 1)}
        >
          {guests} {guests === 1 ? 'guest' : 'guests'} −
        </button>
      )}
      <button type="button" className="chip" onClick={() => setGuests(guests + 1)}>
        + guest
      </button>
    </div>
  );
}
