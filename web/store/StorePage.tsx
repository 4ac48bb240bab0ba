import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { putAway, takeOut } from '#core/commands';
import { allKinds, countOf, sayDay, sayNear } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { useStoreQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { DueTag, Empty, NotFor, PageHead, Waiting } from '../ui/ui.tsx';
import { PastCard } from '../eat/PastCard.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { ColdLine, pullFor } from './ColdLine.tsx';
import { SpotSelect } from '../ui/SpotSelect.tsx';
import { amountOf, placeName } from '../ui/packWords.ts';
import { FindByCode } from './FindByCode.tsx';
import { FreezerCard } from './FreezerCard.tsx';
import { useMeasures } from '../sync/measures.ts';

/** The store: each freezer to scale with its packs, filtered by kind, name and the span brushed on the strip; a pack opens, moves, comes out. */
export function StorePage() {
  const { sayMass, sayVolume } = useMeasures();
  const { data, error, refetch } = useStoreQuery();
  const [params, setParams] = useSearchParams();
  const [selected, setSelected] = useState<string>();
  const { log } = useCommands();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const q = params.get('q') ?? '';
  const kind = params.get('kind') ?? '';
  const from = params.get('from');
  const to = params.get('to');
  const set = (key: string, value: string): void =>
    setParams(
      (p) => {
        if (value) p.set(key, value);
        else p.delete(key);
        return p;
      },
      { replace: true },
    );
  const filtered = q !== '' || kind !== '' || from !== null;
  const match = (p: PackBrief): boolean =>
    (!kind || p.kind === kind) &&
    (!from || !to || (p.due.day !== undefined && p.due.day >= from && p.due.day <= to)) &&
    `${p.name} ${p.code}`.toLowerCase().includes(q.toLowerCase());
  const places = data.places.map((p) => p.place);
  const freezers = data.places.filter((p) => p.place.kind === 'freezer' || p.place.kind === 'chest');
  const shown = data.packs.filter(match);
  const pack = data.packs.find((p) => p.packId === selected) ?? shown[0];
  const loose = data.packs.filter((p) => p.status === 'unplaced');
  const freeMl = freezers.reduce((s, f) => s + f.room.freeMl, 0);
  const move = (to: { placeId: string; zoneId: string }): void => {
    if (pack) void log(putAway([pack], to), `${pack.name} is in ${placeName(places, to)}`);
  };
  if (data.packs.length === 0 && data.past.length === 0)
    return (
      <main className="page">
        <PageHead title="Store" />
        <Empty
          title="An empty freezer"
          text="Packs stand here once a session is packed and put away. Plan one, or fill what you cook tonight."
        >
          <div className="row" style={{ justifyContent: 'center' }}>
            <Link className="btn" to="/store/count">
              Count what is in it
            </Link>
            <Link className="btn o" to="/plan">
              Plan a session
            </Link>
          </div>
        </Empty>
      </main>
    );
  const drawn = (kind: 'freezer' | 'chest') =>
    freezers
      .filter((f) => f.place.kind === kind)
      .map((f) => (
        <FreezerCard
          key={f.place.id}
          f={f}
          data={data.packs}
          match={match}
          filtered={filtered}
          selected={pack?.packId}
          onSelect={(p) => setSelected(p.packId)}
        />
      ));
  return (
    <main className="page">
      <PageHead
        title="Store"
        lead={`${countOf(data.packs.length, 'pack')}, ${countOf(data.dinners, 'dinner')}, ${sayVolume(Math.round(freeMl / 1000) * 1000)} free${data.probable.length > 0 ? `; ${data.probable.length} probably eaten` : ''}.`}
      >
        <FindByCode />
        <Link className="btn o" to="/store/count" title="Key n">
          Count packs in
        </Link>
      </PageHead>
      <PastCard packs={data.past.map((p) => ({ ...p, eatBy: p.due.day ?? data.today }))} today={data.today} />
      <div className="row wrap" style={{ marginBottom: 14 }}>
        <input
          className="field"
          type="search"
          style={{ width: 230 }}
          placeholder="Name or code"
          aria-label="Filter packs"
          value={q}
          onChange={(e) => set('q', e.currentTarget.value)}
        />
        <div className="chips" role="group" aria-label="Kind">
          {allKinds
            .filter((k) => data.packs.some((p) => p.kind === k))
            .map((k) => (
              <button type="button" key={k} className="chip" aria-pressed={kind === k} onClick={() => set('kind', kind === k ? '' : k)}>
                <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}
              </button>
            ))}
        </div>
        {from && to && (
          <button
            type="button"
            className="chip on"
            onClick={() =>
              setParams(
                (p) => {
                  p.delete('from');
                  p.delete('to');
                  return p;
                },
                { replace: true },
              )
            }
          >
            due {sayDay(from)} to {sayDay(to)} ✕
          </button>
        )}
      </div>
      {loose.length > 0 && (
        <div className="note warn" style={{ marginBottom: 14 }}>
          {countOf(loose.length, 'pack')} filled and not put away:{' '}
          {loose
            .map((p) => `${p.name} ${p.code}`)
            .slice(0, 4)
            .join(', ')}
          . Select one below and choose its place.
        </div>
      )}
      <div className="grid" style={{ gridTemplateColumns: 'minmax(0,0.78fr) minmax(0,1.3fr)', alignItems: 'start' }}>
        <div className="stack">
          {drawn('freezer')}
          {pack && (
            <section className="card" aria-label="Selected pack" style={{ position: 'sticky', top: 80 }}>
              <div className="row" style={{ alignItems: 'flex-start' }}>
                <KindMark kind={pack.kind} size={40} />
                <div className="grow">
                  <h2 style={{ margin: 0 }}>{pack.name}</h2>
                  <div className="sub" style={{ fontSize: 15 }}>
                    {pack.code}, {amountOf(pack)}, {sayMass(Math.round(pack.massG * (pack.left / pack.portions)))},{' '}
                    {placeName(places, pack)}
                  </div>
                </div>
                <DueTag due={pack.due} />
              </div>
              <ColdLine pack={pack} today={data.today} />
              <NotFor says={pack.notFor} />
              <div className="row wrap" style={{ marginTop: 12, gap: 8 }}>
                <Link className="btn" to={`/eat?log=${pack.packId}`}>
                  Eaten
                </Link>
                {pack.status === 'frozen' && (
                  <button
                    type="button"
                    className="btn o"
                    onClick={() =>
                      void log(takeOut([pack], pullFor(pack)), `${pack.name} is in the fridge, for ${sayNear(pullFor(pack), data.today)}`)
                    }
                  >
                    Take out
                  </button>
                )}
                <SpotSelect label="Move to" prompt="Move to..." places={places} onChoose={move} />
                <Link className="btn o" to={`/p/${pack.code}`}>
                  Open
                </Link>
              </div>
            </section>
          )}
        </div>
        <div className="stack">
          {drawn('chest')}
          <section className="card" aria-label="Packs as a list">
            <div className="cardhead">
              <h2>{filtered ? `${countOf(shown.length, 'pack')} of ${data.packs.length}` : 'All packs, the soonest first'}</h2>
            </div>
            {shown.length === 0 ? (
              <p className="quiet">
                Nothing matches.{' '}
                <button type="button" className="link" onClick={() => setParams({}, { replace: true })}>
                  Show all
                </button>
              </p>
            ) : (
              <div style={{ maxHeight: 640, overflow: 'auto' }} tabIndex={0} role="region" aria-label="Packs, the soonest due first">
                <table className="plain">
                  <thead>
                    <tr>
                      <th>pack</th>
                      <th>code</th>
                      <th className="num">inside</th>
                      <th>where</th>
                      <th className="num">best by</th>
                    </tr>
                  </thead>
                  <tbody>
                    {shown.map((p) => (
                      <tr key={p.packId} style={p.packId === pack?.packId ? { background: 'var(--pale)' } : undefined}>
                        <td style={{ minWidth: 250 }}>
                          <KindMark kind={p.kind} size={18} />{' '}
                          <button
                            type="button"
                            className="link"
                            style={{ textDecoration: 'none', color: 'var(--ink)', fontWeight: 700, display: 'inline' }}
                            onClick={() => setSelected(p.packId)}
                          >
                            {p.name}
                          </button>
                          {!p.labelled && (
                            <>
                              {' '}
                              <span className="tag t">no label</span>
                            </>
                          )}
                        </td>
                        <td>
                          <Link to={`/p/${p.code}`}>{p.code}</Link>
                        </td>
                        <td className="num">{amountOf(p)}</td>
                        <td className="sub">
                          {p.status === 'fridge' ? (p.cold === 'thawing' ? 'thawing' : 'in the fridge') : placeName(places, p)}
                        </td>
                        <td className="num">
                          {p.due.day === undefined ? '' : sayDay(p.due.day)} <DueTag due={p.due} />
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
          </section>
        </div>
      </div>
    </main>
  );
}
