import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { bin, giveAway, markLabelled, lose, planFor, putAway, takeOut, wash } from '#core/commands';
import { addDays, clockOf, countOf, dayOf, listOf, sayDayYear, sayNear, sayPortions, sayWeekday } from '#core/kitchen';
import { portionName, sayUndated } from '#core/session';
import { sayVague, thawHoursOf } from '#core/store';
import { sayError, useFrameQuery, usePackQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Cautions, DueTag, NotFor, PageHead, Waiting, Why } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { LabelDrawings } from '../pack/LabelDrawings.tsx';
import { previewOf } from '../pack/usePreview.ts';
import { ColdLine, pullFor } from './ColdLine.tsx';
import { HeatCard } from './HeatCard.tsx';
import { SpotSelect } from '../ui/SpotSelect.tsx';
import { placeName } from '../ui/packWords.ts';
import { useMeasures } from '../sync/measures.ts';

/** A code that matches no pack: what was typed stays, near ones are offered. */
function NoPack({ typed, error }: { typed: string; error: unknown }) {
  const said = sayError(error);
  const offers = said.refusals.map((r) => r.expected).filter((e) => /^[2-9A-Z]{5}$/.test(e));
  return (
    <main className="page">
      <div className="card empty">
        <h1>No pack “{typed}”</h1>
        <p role="alert">{said.message}</p>
        <div className="row wrap" style={{ justifyContent: 'center' }}>
          {offers.map((o) => (
            <Link key={o} className="btn" to={`/p/${o}`}>
              {o}
            </Link>
          ))}
          <Link className="btn o" to="/store">
            Look in the store
          </Link>
        </div>
      </div>
    </main>
  );
}

/** One pack: what it is, what can be done with it, its label and its story. */
export function PackDetailPage() {
  const { sayMass } = useMeasures();
  const { code = '' } = useParams();
  const { data, error, isFetching, refetch } = usePackQuery(code);
  const frame = useFrameQuery().data;
  const { log, undo } = useCommands();
  const [reason, setReason] = useState('');
  if (error && 'status' in error && error.status === 404 && !isFetching) return <NoPack typed={code} error={error} />;
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const { pack, brief, container } = data;
  const zone = frame.household.timeZone;
  const label = previewOf(data.label, frame.household.address ?? '');
  const empty = brief.status === 'empty';
  const thaw = thawHoursOf(pack);
  const evenings = Array.from({ length: 9 }, (_, i) => addDays(frame.today, i));
  return (
    <main className="page">
      <PageHead
        title={
          <span className="row" style={{ gap: 14 }}>
            <KindMark kind={pack.kind} size={38} alone />
            {pack.name}
          </span>
        }
        lead={`${pack.code}, pack ${pack.nOf.n} of ${pack.nOf.of}, ${pack.made ? `made ${sayVague(pack.made)}` : sayUndated(pack.foundOn).toLowerCase()}. ${empty ? `Empty: ${pack.ended?.how ?? 'eaten'}.` : `${brief.status === 'fridge' ? (brief.cold === 'thawing' ? 'Thawing' : 'In the fridge') : placeName(data.places, pack)}.`}`}
      >
        {!empty && (
          <Link className="btn" to={`/eat?log=${pack.packId}`}>
            Eaten
          </Link>
        )}
      </PageHead>
      {!empty && <NotFor says={brief.notFor} />}
      <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.2fr) 420px', alignItems: 'start' }}>
        <div className="stack">
          <section className="card" aria-label="What it is">
            <div className="row wrap" style={{ gap: 28, alignItems: 'flex-end' }}>
              <div>
                <span className="big">{sayPortions(pack.left)}</span>
                <span className="unit">
                  {portionName(pack.kind, pack.left)} of {sayPortions(pack.portions)}
                </span>
              </div>
              <div>
                <span className="mid">{sayMass(Math.round(pack.massG * (pack.portions > 0 ? pack.left / pack.portions : 0)))}</span>
                <span className="unit">
                  {brief.contents} when full{container ? `, ${container.name}` : ''}
                </span>
              </div>
              <div className="row" style={{ gap: 8 }}>
                {brief.due.day !== undefined && (
                  <span>
                    {brief.due.reason === 'bestBy' ? 'best by' : 'eat by'} <b>{sayDayYear(brief.due.day)}</b>
                  </span>
                )}
                {!empty && <DueTag due={brief.due} />}
                <Why label="this date">
                  {brief.due.reason === 'undated'
                    ? 'Nobody knows when it was made, so nothing is counted from it: it comes before all that is dated. '
                    : brief.due.reason === 'thaw'
                      ? `It thaws in ${thaw.low} to ${thaw.high} hours; the time it keeps once thawed counts from the short end. `
                      : brief.due.reason === 'fridge'
                        ? `In the fridge since ${pack.fridgeSince ? `${sayWeekday(dayOf(pack.fridgeSince, zone))} ${clockOf(pack.fridgeSince, zone)}` : ''}: ${countOf(pack.life.fridgeDays, 'day')} for ${pack.life.part}. `
                        : `${countOf(pack.life.months, 'month')} from the day it was made, because of the ${pack.life.part}; at most to ${pack.limit ? sayDayYear(pack.limit) : ''}. The date is printed once and does not move. `}
                  Source: {pack.life.source}.
                </Why>
              </div>
            </div>
            <ul className="rows" style={{ marginTop: 10 }}>
              {data.allergens.map((a) => (
                <li key={a}>
                  <div className="grow">{a}</div>
                </li>
              ))}
              {data.label.cautions.map((c) => (
                <li key={c}>
                  <b className="grow">{c}</b>
                </li>
              ))}
              {pack.addOnDay.length > 0 && (
                <li>
                  <div className="grow">
                    Add on the day:{' '}
                    {listOf(pack.addOnDay.map((name, i) => (pack.addAmounts?.[i] ? `${pack.addAmounts[i]} ${name}` : name)))}
                  </div>
                </li>
              )}
            </ul>
            <ColdLine pack={brief} today={frame.today} />
          </section>
          {!empty && <HeatCard heat={data.heat} pack={pack} />}
          {!empty && (
            <section className="card" aria-label="Do something with it">
              <h2>With this pack</h2>
              <div className="row wrap">
                <label className="row" style={{ gap: 8 }}>
                  For{' '}
                  <select
                    className="field"
                    aria-label="Evening"
                    value={pack.planned?.day ?? ''}
                    onChange={(e) => {
                      const day = e.currentTarget.value;
                      void log(
                        planFor([brief], day),
                        day ? `${pack.name} is planned for ${sayNear(day, frame.today)}` : `${pack.name} is no longer planned`,
                      );
                    }}
                  >
                    <option value="">no evening yet</option>
                    {evenings.map((d) => (
                      <option key={d} value={d}>
                        {sayNear(d, frame.today)}
                      </option>
                    ))}
                    {pack.planned && !evenings.includes(pack.planned.day) && (
                      <option value={pack.planned.day}>{sayWeekday(pack.planned.day)}</option>
                    )}
                  </select>
                </label>
                {brief.status !== 'fridge' && (
                  <button
                    type="button"
                    className="btn o"
                    onClick={() =>
                      void log(
                        takeOut([brief], pullFor(brief)),
                        `${pack.name} is in the fridge, for ${sayNear(pullFor(brief), frame.today)}`,
                      )
                    }
                  >
                    Take out
                  </button>
                )}
                <SpotSelect
                  label="Move to"
                  prompt="Move to..."
                  places={data.places}
                  onChoose={(to) => void log(putAway([brief], to), `${pack.name} is put away`)}
                />
                {!pack.labelled && (
                  <button
                    type="button"
                    className="btn o"
                    onClick={() => void log([markLabelled(brief, 'hand', data.labelSays)], 'Written by hand')}
                  >
                    Label written
                  </button>
                )}
              </div>
              <div className="row wrap" style={{ marginTop: 12 }}>
                <input
                  className="field grow"
                  placeholder="Why it goes: taste, freezer burn, dropped..."
                  aria-label="Reason for binning"
                  value={reason}
                  onChange={(e) => setReason(e.currentTarget.value)}
                />
                <button type="button" className="btn o" onClick={() => void log([bin(brief, pack.left, reason)], `${pack.name} is binned`)}>
                  Bin it
                </button>
                <button
                  type="button"
                  className="btn o"
                  onClick={() => void log([giveAway(brief, pack.left, reason || 'somebody')], `${pack.name} is given away`)}
                >
                  Give it away
                </button>
                <button type="button" className="btn o" onClick={() => void log([lose(brief)], `${pack.name} is not to be found`)}>
                  Not there
                </button>
              </div>
            </section>
          )}
          {empty && container && !container.oneUse && !pack.washed && (
            <section className="card">
              <div className="row">
                <span className="grow">{container.name} waits to be washed.</span>
                <button type="button" className="btn" onClick={() => void log([wash(brief)], `${container.name} is free again`)}>
                  Washed
                </button>
              </div>
            </section>
          )}
          <section className="card" aria-label="Its story">
            <h2>Its story</h2>
            <ul className="rows">
              {data.history.map((h) => (
                <li key={h.id} style={h.undone ? { textDecoration: 'line-through', color: 'var(--quiet)' } : undefined}>
                  <span className="sub" style={{ width: 150 }}>
                    {sayWeekday(dayOf(h.at, zone))} {clockOf(h.at, zone)}
                  </span>
                  <div className="grow">{h.says}</div>
                  {!h.undone && (
                    <button
                      type="button"
                      className="link s"
                      onClick={() => void undo({ kind: 'events', events: [{ id: h.id, subjects: [pack.packId] }] })}
                      aria-label={`Take back: ${h.says}`}
                    >
                      take back
                    </button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        </div>
        <div className="stack">
          <section className="card" aria-label="Label">
            <h2>Its label</h2>
            <LabelDrawings result={label} />
            {brief.printAgain && (
              <p className="note bad" role="alert">
                What is known of its allergens has changed since this label was printed. Print it again.
              </p>
            )}
            <p style={{ marginTop: 10 }}>
              <a href={`/api/labels.pdf?packs=${pack.packId}`} target="_blank" rel="noreferrer">
                Print it alone
              </a>
              {brief.printAgain && (
                <>
                  {' '}
                  <button
                    type="button"
                    className="btn s"
                    onClick={() => void log([markLabelled(brief, 'printed', data.labelSays)], `${pack.name}: the new label is on`)}
                  >
                    The new one is on
                  </button>
                </>
              )}
            </p>
          </section>
          <Cautions list={data.cautions} title="Before it is eaten" />
        </div>
      </div>
    </main>
  );
}
