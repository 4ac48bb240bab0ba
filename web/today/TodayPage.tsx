import { Link, Navigate } from 'react-router';
import { clockOf, isDinner, listOf, sayLongDay, sayPortions } from '#core/kitchen';
import { asksAboutDinner } from '#core/session';
import { useFrameQuery, useTodayQuery } from '../sync/api.ts';
import { Cautions, NotFor, Waiting } from '../ui/ui.tsx';
import { PrintAgain } from './PrintAgain.tsx';
import { TakeCopy } from './TakeCopy.tsx';
import { PastCard } from '../eat/PastCard.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { missing, steps } from '../welcome/steps.ts';
import { AtTheTable } from './AtTheTable.tsx';
import { EveningQuestion } from './EveningQuestion.tsx';
import { Now } from './Now.tsx';
import { EatFirst, Lasting, Week } from './Cards.tsx';

/** Today: the next thing to do, what to eat first, how long it lasts. */
export function TodayPage() {
  const { data, error, refetch } = useTodayQuery();
  const frame = useFrameQuery().data;
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const open = missing(frame.setup);
  if (open.length === steps.length && !sessionStorage.getItem('tambo.welcomeLeft')) return <Navigate to="/welcome" replace />;
  const { view } = data;
  const tonight = view.tonight.packs.filter(isDinner);
  const names = [...new Set(tonight.map((p) => p.name))];
  const plates = sayPortions(view.tonight.quarters / 4);
  const asks = !view.tonight.logged && names.length > 0 && asksAboutDinner(frame.household, clockOf(frame.now, frame.household.timeZone));
  const lead = view.tonight.logged
    ? 'Tonight’s dinner is written down.'
    : names.length > 0
      ? `Tonight: ${names.join(' and ')}, ${plates} plates, at ${frame.household.dinnerAt}.`
      : view.tonight.quarters > 0
        ? `Tonight: ${plates} plates at ${frame.household.dinnerAt}, nothing planned from the freezer yet.`
        : 'Nobody is at the table tonight.';
  return (
    <main className="page">
      <div className="pagehead">
        <div>
          <h1 style={{ fontSize: 36 }}>{sayLongDay(data.today)}</h1>
          <p className="lead">{lead}</p>
        </div>
        <div className="acts">
          {data.eaters.length > 0 && !view.tonight.logged && <AtTheTable data={data} />}
          {!view.tonight.logged && names.length > 0 && !asks && (
            <Link className="btn" to="/eat?log=tonight">
              Log tonight’s dinner
            </Link>
          )}
        </div>
      </div>
      {asks && <EveningQuestion data={data} dish={names.join(' and ')} />}
      {!asks && names.length > 0 && !view.tonight.logged && <NotFor says={view.tonight.notFor} />}
      <PastCard packs={view.past.map(({ pack, eatBy }) => ({ ...pack, seen: pack.seen ?? pack.packId, eatBy }))} today={data.today} />
      <PrintAgain {...data.printAgain} />
      {data.demoOld && (
        <div className="note warn row" style={{ marginBottom: 14 }}>
          <span className="grow">
            The demo household has lived on for a week. To start it afresh at today, stop Tambo and type <b>npm run demo -- --reset</b>.
          </span>
        </div>
      )}
      {open.length > 0 && (
        <section className="card row wrap" style={{ marginBottom: 16 }} aria-label="Set up">
          <div className="grow">
            <h2>{open.length === steps.length ? 'Set up your kitchen' : `Still open: ${listOf(open.map((s) => s.says))}`}</h2>
            <p className="quiet">Each takes a few minutes; numbers get right as you go.</p>
          </div>
          <Link className="btn" to={`/welcome?step=${steps.findIndex((s) => s.id === open[0]?.id) + 1}`}>
            Go on
          </Link>
        </section>
      )}
      {open.length === steps.length ? null : (
        <>
          <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.15fr) minmax(0,1.1fr) minmax(0,0.95fr)', alignItems: 'start' }}>
            <Now data={data} zone={frame.household.timeZone} now={frame.now} />
            <EatFirst data={data} />
            <div className="stack">
              <Lasting data={data} />
              <Week data={data} />
            </div>
          </div>
          {data.next && (
            <div style={{ marginTop: 16 }}>
              <SessionHeader brief={data.next} />
            </div>
          )}
          <Cautions list={data.cautions} title="When it comes out of the freezer" />
        </>
      )}
      {data.takeCopy && <TakeCopy />}
    </main>
  );
}
