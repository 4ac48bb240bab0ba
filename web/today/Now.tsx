import { Link } from 'react-router';
import { takeOut } from '#core/commands';
import { countOf, clockOf, dayOf, sayNear } from '#core/kitchen';
import { thawHoursOf, type PackState } from '#core/store';
import type { TodayAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor } from '../ui/ui.tsx';
import { ContainerIcon } from '../draw/ContainerIcon.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf, placeName } from '../ui/packWords.ts';
import { dishes } from './dishes.ts';

interface Group {
  name: string;
  packs: PackState[];
  day: string;
  by: string;
  notFor: string[];
}

/** Packs of one dish for one evening come out together. */
function grouped(takeOut: TodayAnswer['view']['takeOut']): Group[] {
  const groups = new Map<string, Group>();
  for (const { pack, day, by, notFor } of takeOut) {
    const key = `${pack.recipeId ?? pack.name}|${day}`;
    const g = groups.get(key);
    if (g) g.packs.push(pack);
    else groups.set(key, { name: pack.name, packs: [pack], day, by, notFor });
  }
  return [...groups.values()];
}

export function Now({ data, zone, now }: { data: TodayAnswer; zone: string; now: string }) {
  const { log } = useCommands();
  const { view, today } = data;
  const groups = grouped(view.takeOut);
  const first = groups[0];
  const rest = groups.slice(1, 3);
  const [doubtful] = view.probable.packs;
  const [bare] = view.unlabelled.packs;
  const hoursText = (g: Group): string => {
    const h = g.packs.map(thawHoursOf).toSorted((a, b) => b.high - a.high)[0];
    return h ? `${h.low} to ${h.high} h` : 'about a day';
  };
  const nothing =
    !first && view.fridge.length === 0 && view.unlabelled.count === 0 && view.probable.count === 0 && view.unplaced.count === 0;
  const pull = (g: Group): void => void log(takeOut(g.packs, g.day), `${g.name} is in the fridge`);
  const byText = (g: Group): string =>
    g.by <= now ? 'now' : `by ${dayOf(g.by, zone) === today ? '' : `${sayNear(dayOf(g.by, zone), today)} `}${clockOf(g.by, zone)}`;
  return (
    <section className="card" aria-label="Now">
      <h2>Now</h2>
      {first && (
        <div className="note" style={{ marginBottom: 8 }}>
          <div className="row" style={{ gap: 16 }}>
            <ContainerIcon shape={first.packs.some((p) => p.cubes !== undefined) ? 'bag' : 'tub'} />
            <div className="grow">
              <div style={{ fontSize: 19, fontWeight: 700, lineHeight: 1.25 }}>
                Take {first.packs.length === 1 ? '1 pack' : `${first.packs.length} packs`} out to the fridge {byText(first)}
              </div>
              <div>
                {first.name}, for {sayNear(first.day, today)}’s dinner
              </div>
              <div className="sub">
                {[...new Set(first.packs.map((p) => placeName(data.places, p)))].join('; ')}. Needs {hoursText(first)} in the fridge.
              </div>
              <NotFor says={first.notFor} />
            </div>
          </div>
          <div className="row wrap" style={{ marginTop: 10, gap: 10 }}>
            <button type="button" className="btn" onClick={() => pull(first)}>
              {first.packs.length === 1 ? 'It’s in the fridge' : 'They’re in the fridge'}
            </button>
            <Link className="btn o" to="/eat">
              Swap
            </Link>
          </div>
        </div>
      )}
      <ul className="rows">
        {rest.map((g) => (
          <li key={g.name + g.day}>
            <KindMark kind={g.packs[0]?.kind ?? 'meal'} size={26} />
            <div className="grow">
              <div className="strong">
                {g.name}, {countOf(g.packs.length, 'pack')}
              </div>
              <div className="sub">
                out of the freezer {byText(g)}, for {sayNear(g.day, today)}
              </div>
            </div>
            <button type="button" className="btn o s" onClick={() => pull(g)}>
              Done
            </button>
          </li>
        ))}
        {dishes(view.fridge)
          .slice(0, 3)
          .map(({ first: { pack, due }, packs, left }) => (
            <li key={pack.packId}>
              <KindMark kind={pack.kind} size={26} />
              <div className="grow">
                <Link className="main" to={`/p/${pack.code}`}>
                  {pack.name}, {amountOf({ kind: pack.kind, left })}
                </Link>
                <div className="sub">
                  {packs > 1 ? `${packs} packs ` : ''}in the fridge
                  {pack.planned ? `, for ${pack.planned.day === today ? 'tonight' : sayNear(pack.planned.day, today)}` : ''}, eat by{' '}
                  {due.day === undefined ? '' : sayNear(due.day, today)}
                </div>
              </div>
              <DueTag due={due} />
            </li>
          ))}
        {doubtful && (
          <li>
            <KindMark kind={doubtful.kind} size={26} />
            <div className="grow">
              <Link className="main" to={`/p/${doubtful.code}`}>
                {doubtful.name}, {amountOf(doubtful)}
              </Link>
              <div className="sub">
                was planned for {sayNear(doubtful.planned?.day ?? today, today)}: probably eaten. Was it?
                {view.probable.count > 1 ? ` ${view.probable.count - 1} more like it.` : ''}
              </div>
            </div>
            <Link className="btn o s" to="/eat?settle=1#settle">
              Settle
            </Link>
          </li>
        )}
        {view.unlabelled.count > 0 && (
          <li>
            <KindMark kind={bare?.kind ?? 'meal'} size={26} />
            <div className="grow">
              <Link className="main" to={`/p/${bare?.code ?? ''}`}>
                {bare?.name}
              </Link>
              <div className="sub">
                {view.unlabelled.count === 1 ? '1 pack has no label yet' : `${view.unlabelled.count} packs have no label yet`}
              </div>
            </div>
            <Link className="tag t" to={bare?.sessionId ? `/pack/${bare.sessionId}/labels` : '/store'}>
              label
            </Link>
          </li>
        )}
        {view.unplaced.count > 0 && (
          <li>
            <div className="grow">
              <div className="strong">
                {view.unplaced.count === 1 ? '1 pack stands outside' : `${view.unplaced.count} packs stand outside`}
              </div>
              <div className="sub">filled, not put away yet</div>
            </div>
            <Link className="tag t" to="/store">
              put away
            </Link>
          </li>
        )}
        {nothing && <li className="quiet">Nothing presses. Pick a pack from Eat first for one of the coming evenings.</li>}
      </ul>
    </section>
  );
}
