import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Container, Eater, Equipment, Place } from '#core/contract';
import { countOf, monthsOld, sayMass, sayPortions, sayVolume, shortWeekday } from '#core/kitchen';
import type { KitchenAnswer } from '#core/session';
import { useKitchenQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { Empty, PageHead, Waiting } from '../app/ui.tsx';
import { ContainerShelf } from './ContainerShelf.tsx';
import { ContainerForm, EaterForm, GearForm, PlaceForm } from './forms.tsx';
import { HouseholdForm } from './HouseholdForm.tsx';

const tabs = [['eaters', 'Who eats'], ['gear', 'Pots and heat'], ['containers', 'Containers'], ['places', 'Cold places'], ['household', 'Household']] as const;
type Tab = (typeof tabs)[number][0];

const sayRota = (e: Eater): string => (e.presence.rota ? `${e.presence.rota.daysOn} days away, ${e.presence.rota.daysOff} home` : '');

/** Four weeks of a household: dinner, lunch and breakfast as rows of plates for each eater, mouths at dinner below. */
function Weeks({ data }: { data: KitchenAnswer }) {
  const { days, present, quarters } = data.weeks;
  const left = 150;
  const step = 33;
  const rowH = 58;
  const w = left + days.length * step;
  const h = 30 + data.eaters.length * rowH + 40;
  return (
    <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Four weeks at the table">
      <svg viewBox={`0 0 ${w} ${h}`} width="100%" style={{ minWidth: 820, display: 'block' }} role="img" aria-label={`Four weeks: ${data.eaters.map((e) => `${e.name} at dinner on ${days.filter((_, i) => present[e.id]?.[i]?.dinner).length} of ${days.length} days`).join('; ')}`}>
        {days.map((d, i) => (i % 7 === 0 ? <g key={d}><path d={`M${left + i * step - 4} 6V${h - 12}`} stroke="var(--line)" strokeWidth="1.5" /><text x={left + i * step} y={18} fontSize="14" fill="var(--quiet)">{shortWeekday(d)} {Number(d.slice(8))}</text></g> : null))}
        {data.eaters.map((e, r) => {
          const y = 30 + r * rowH;
          return (
            <g key={e.id}>
              <text x="0" y={y + 18} fontSize="17" fontWeight="700" fill="var(--ink)">{e.name}</text>
              <text x="0" y={y + 36} fontSize="14" fill="var(--quiet)">{e.stage === 'baby' ? `${e.birthDay ? `${monthsOld(e.birthDay, days[0] ?? e.birthDay)} months, ` : ''}${e.baby?.mealsPerDay ?? 0} meals` : `${e.stage}, eats ${sayPortions(Math.round(e.appetite * 4) / 4)}`}{e.needs.includes('lowSalt') ? ', low salt' : ''}</text>
              {days.map((d, i) => {
                const m = present[e.id]?.[i];
                return (['breakfast', 'lunch', 'dinner'] as const).map((meal, k) => <rect key={d + meal} x={left + i * step} y={y + 2 + k * 15} width="26" height="11" rx="5.500" fill={m?.[meal] ? (e.stage === 'baby' ? 'var(--plum)' : 'var(--rim)') : 'var(--card)'} stroke={m?.[meal] ? 'none' : 'var(--line)'} strokeWidth="1.5" opacity={m?.[meal] && meal !== 'dinner' ? 0.5 : 1} />);
              })}
            </g>
          );
        })}
        <path d={`M0 ${h - 38}H${w}`} stroke="var(--kind-bread)" strokeWidth="3" />
        <text x="0" y={h - 14} fontSize="15" fontWeight="700" fill="var(--ink)">plates at dinner</text>
        {quarters.map((q, i) => <text key={days[i]} x={left + i * step + 13} y={h - 14} fontSize="15" fontWeight="700" textAnchor="middle" fill={q === 0 ? 'var(--tomato)' : 'var(--ink)'}>{sayPortions(q / 4)}</text>)}
      </svg>
    </div>
  );
}

function Eaters({ data }: { data: KitchenAnswer }) {
  const [editing, setEditing] = useState<Eater | 'new'>();
  const plates = data.weeks.quarters.reduce((s, q) => s + q, 0) / 4;
  const baby = data.weeks.babyMeals.reduce((s, q) => s + q, 0);
  const must = data.eaters.filter((e) => e.allergens.length > 0 || e.needs.length > 0 || e.stage === 'baby');
  return (
    <>
      {data.eaters.length === 0 ? <Empty title="Who eats here?" text="Dinners left, portions to cook and the baby’s days of supply are all counted from who is at the table."><button type="button" className="btn" onClick={() => setEditing('new')}>Add the first</button></Empty> : (
        <div className="stack">
          <section className="card" aria-label="Who is at the table"><div className="cardhead"><h2>Who is at the table</h2><span className="quiet">breakfast, lunch, dinner</span></div><Weeks data={data} /></section>
          <div className="grid" style={{ gridTemplateColumns: 'repeat(3,minmax(0,1fr))', alignItems: 'start' }}>
            <section className="card" aria-label="Four weeks"><h2>Next four weeks</h2><div className="row wrap" style={{ gap: 24 }}><div><span className="big">{sayPortions(plates)}</span><span className="unit">plates at dinner</span></div>{baby > 0 && <div><span className="big">{baby}</span><span className="unit">small meals</span></div>}</div><p className="sub" style={{ marginTop: 8 }}>One plate is a recipe’s own serving.</p></section>
            {must.length > 0 && <section className="card" aria-label="Mind"><h2>Mind</h2><ul className="rows">{must.map((e) => <li key={e.id}><div className="grow"><b>{e.name}</b>: {[...e.allergens.map((a) => `no ${data.allergenNames[a] ?? a}`), ...(e.needs.includes('lowSalt') ? ['low salt'] : []), ...(e.needs.includes('noPork') ? ['no pork'] : []), ...(e.needs.includes('vegetarian') ? ['vegetarian'] : []), ...(e.stage === 'baby' ? ['no honey before 12 months, no added salt'] : [])].join(', ')}</div></li>)}</ul></section>}
            <section className="card" aria-label="Change"><h2>Change</h2><div className="chips">{data.eaters.map((e) => <button type="button" key={e.id} className="chip" onClick={() => setEditing(e)}>{e.name}</button>)}<button type="button" className="chip on" onClick={() => setEditing('new')}>Add somebody</button></div>{data.eaters.some((e) => e.presence.rota) && <p className="sub" style={{ marginTop: 10 }}>{data.eaters.filter((e) => e.presence.rota).map((e) => `${e.name}: ${sayRota(e)}`).join('; ')}.</p>}</section>
          </div>
        </div>
      )}
      {editing && <EaterForm eater={editing === 'new' ? undefined : editing} allergenNames={data.allergenNames} onClose={() => setEditing(undefined)} />}
    </>
  );
}

const heat: readonly { kind: Equipment['kind']; name: string; count: number; of: string }[] = [{ kind: 'hob', name: 'Hob', count: 4, of: 'burners' }, { kind: 'oven', name: 'Oven', count: 2, of: 'shelves' }, { kind: 'microwave', name: 'Microwave', count: 1, of: '' }];

function Gear({ data }: { data: KitchenAnswer }) {
  const { write } = useCommands();
  const [editing, setEditing] = useState<Equipment | 'new'>();
  const vessels = data.equipment.filter((e) => e.kind === 'pot' || e.kind === 'pan');
  const rest = data.equipment.filter((e) => !['pot', 'pan', 'hob', 'oven', 'microwave'].includes(e.kind));
  const tallest = Math.max(150, ...vessels.map((v) => v.heightMm ?? 150));
  return (
    <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.5fr) minmax(0,1fr)', alignItems: 'start' }}>
      <section className="card" aria-label="Pots">
        <div className="cardhead"><h2>Pots, side by side</h2><span className="quiet">a pot with its own weight can be weighed full</span></div>
        {vessels.length === 0 ? <p className="quiet">No pots yet. Add the ones you cook big batches in.</p> : (
          <div className="row wrap" style={{ alignItems: 'flex-end', gap: 26 }}>
            {vessels.map((v) => {
              const s = 0.55;
              const pw = (v.diameterMm ?? 220) * s;
              const ph = (v.heightMm ?? 120) * s;
              return (
                <div key={v.id} style={{ textAlign: 'center' }}>
                  <svg width={pw + 30} height={tallest * s + 8} viewBox={`0 0 ${pw + 30} ${tallest * s + 8}`} aria-hidden="true"><g transform={`translate(15 ${tallest * s - ph + 4})`}><path d={`M0 ${ph * 0.25}V${ph - 6}a6 6 0 0 0 6 6H${pw - 6}a6 6 0 0 0 6-6V${ph * 0.25}`} fill="var(--frost)" /><path d={`M0 0V${ph - 6}a6 6 0 0 0 6 6H${pw - 6}a6 6 0 0 0 6-6V0`} fill="none" stroke="var(--rim)" strokeWidth="2.2" /><path d={`M-13 ${ph * 0.2}H0M${pw} ${ph * 0.2}h13`} stroke="var(--rim)" strokeWidth="4" /><path d={`M2 ${ph * 0.25}H${pw - 2}`} stroke="var(--rim)" strokeDasharray="3 3" /></g></svg>
                  <div className="strong">{v.name}{v.count > 1 ? `, ${v.count}` : ''}</div>
                  <div className="sub">{v.litres ? `${v.litres} L` : 'litres?'}, {v.tareG ? `${sayMass(v.tareG)} empty` : <span style={{ color: 'var(--saffron)' }}>weigh it empty once</span>}</div>
                  <button type="button" className="link s" onClick={() => setEditing(v)}>change</button>
                </div>
              );
            })}
          </div>
        )}
        <div style={{ marginTop: 14 }}><button type="button" className="btn o" onClick={() => setEditing('new')}>Add a pot</button></div>
      </section>
      <div className="stack">
        <section className="card" aria-label="Heat">
          <h2>Heat</h2>
          <ul className="rows">{heat.map((x) => {
            const mine = data.equipment.find((e) => e.kind === x.kind);
            const on = (mine?.count ?? 0) > 0;
            return <li key={x.kind}><button type="button" className="tick" role="checkbox" aria-checked={on} aria-label={x.name} onClick={() => void write([{ table: 'equipment', id: mine?.id ?? `gear_${x.kind}`, data: { ...(mine ?? { id: `gear_${x.kind}`, name: x.name, kind: x.kind }), count: on ? 0 : x.count } }], on ? `No ${x.name.toLowerCase()}` : `${x.name} noted`)}>{on ? '✓' : ''}</button><div className="grow"><b>{x.name}</b><div className="sub">{on && x.of ? `${mine?.count ?? x.count} ${x.of}` : on ? 'labels say how to use it' : 'left out of labels and plans'}</div></div></li>;
          })}</ul>
        </section>
        {rest.length > 0 && <section className="card" aria-label="Also here"><h2>Also here</h2><ul className="rows">{rest.map((e) => <li key={e.id}><div className="grow">{e.name}</div><span className="sub">{e.litres ? `${e.litres} L` : ''}</span></li>)}</ul></section>}
      </div>
      {editing && <GearForm gear={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </div>
  );
}

function Containers({ data }: { data: KitchenAnswer }) {
  const [editing, setEditing] = useState<Container | 'new'>();
  return (
    <>
      <section className="card" aria-label="What you can pack in">
        <div className="cardhead"><h2>What you can pack in</h2><span className="quiet">side by side at one scale; free now, and what the next session wants</span></div>
        {data.containers.length === 0 ? <p className="quiet">Nothing yet. Add tubs, bags and pans; common ones are one tap.</p> : <ContainerShelf list={data.containers} onEdit={setEditing} />}
        <div style={{ marginTop: 14 }}><button type="button" className="btn o" onClick={() => setEditing('new')}>Add a container</button></div>
      </section>
      {editing && <ContainerForm container={editing === 'new' ? undefined : editing} presets={data.presets} onClose={() => setEditing(undefined)} />}
    </>
  );
}

function Places({ data }: { data: KitchenAnswer }) {
  const [editing, setEditing] = useState<Place | 'new'>();
  return (
    <>
      <div className="grid" style={{ gridTemplateColumns: 'repeat(auto-fill,minmax(330px,1fr))' }}>
        {data.places.map(({ place, room }) => (
          <section key={place.id} className="card" aria-label={place.name}>
            <div className="cardhead"><h2>{place.name}</h2><span className="tag f">{place.temperatureC} °C</span></div>
            <div><span className="big">{place.litres}</span><span className="unit">L{place.kind === 'freezer' || place.kind === 'chest' ? `, ${sayVolume(Math.round(room.freeMl / 1000) * 1000)} of it free` : ''}</span></div>
            <p className="sub" style={{ fontSize: 15, marginTop: 4 }}>{place.zones.map((z) => z.name).join(', ')}. {place.note ?? ''}</p>
            {(place.kind === 'freezer' || place.kind === 'chest') && <div className="bar" style={{ marginTop: 8 }} role="img" aria-label={`${Math.round((room.usedMl / room.usableMl) * 100)} % full`}><i style={{ width: `${Math.min(100, (room.usedMl / room.usableMl) * 100)}%` }} /></div>}
            <div className="row" style={{ marginTop: 10 }}><button type="button" className="link s" onClick={() => setEditing(place)}>change</button>{room.packs > 0 && <Link className="sub" to="/store">{countOf(room.packs, 'pack')} in it</Link>}</div>
          </section>
        ))}
        <section className="card empty"><h2>Another cold place</h2><p>A freezer, a chest, a fridge with a shelf to thaw on.</p><button type="button" className="btn o" onClick={() => setEditing('new')}>Add one</button></section>
      </div>
      {editing && <PlaceForm place={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </>
  );
}

/** Kitchen: who eats and when, what there is to cook, pack and store in. */
export function KitchenPage() {
  const { data, error, refetch } = useKitchenQuery();
  const [params, setParams] = useSearchParams();
  const tab = (tabs.find(([id]) => id === params.get('tab'))?.[0] ?? 'eaters') satisfies Tab;
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  return (
    <main className="page">
      <PageHead title="Kitchen" lead={data.household.name}>
        <div className="chips" role="group" aria-label="Part of the kitchen">{tabs.map(([id, name]) => <button type="button" key={id} className="chip" aria-pressed={tab === id} onClick={() => setParams({ tab: id }, { replace: true })}>{name}</button>)}</div>
      </PageHead>
      {tab === 'eaters' && <Eaters data={data} />}
      {tab === 'gear' && <Gear data={data} />}
      {tab === 'containers' && <Containers data={data} />}
      {tab === 'places' && <Places data={data} />}
      {tab === 'household' && <HouseholdForm key={JSON.stringify(data.household)} household={data.household} />}
    </main>
  );
}

