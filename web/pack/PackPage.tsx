import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Equipment, Place } from '#core/contract';
import { clockOf, countOf, sayDay, sayMass, sayPortions, sayVolume } from '#core/kitchen';
import { choosePacks, type Free, type PackResult } from '#core/pack';
import { cautionsFor } from '#core/safety';
import { filledData, labelContent, portionName, type BatchView, type SessionView } from '#core/session';
import { useFrameQuery, useKitchenQuery, useSessionQuery, useSessionsQuery } from '../app/api.ts';
import { takeCodes } from '../app/codes.ts';
import { useCommands, type NewEvent } from '../app/commands.ts';
import { newId } from '../app/device.ts';
import { Cautions, Empty, PageHead, Waiting, Why } from '../app/ui.tsx';
import { FillView } from '../draw/FillView.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { LabelDrawing } from '../draw/LabelDrawing.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { previewOf } from './usePreview.ts';

const grams = (text: string): number | undefined => {
  const n = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(n) && n > 0 ? n : undefined;
};

/** Pot on the scale: gross less the pot's own weight gives what came out; a missing density is asked for once with one tub. */
function WeighCard({ b, sessionId, pots, onDone }: { b: BatchView; sessionId: string; pots: readonly Equipment[]; onDone: () => void }) {
  const { log } = useCommands();
  const [gross, setGross] = useState('');
  const [potId, setPot] = useState(pots[0]?.id ?? 'none');
  const [tubMl, setTubMl] = useState('430');
  const [tubG, setTubG] = useState('');
  const tare = pots.find((p) => p.id === potId)?.tareG ?? 0;
  const g = grams(gross);
  const net = g === undefined ? undefined : g - tare;
  const known = b.revision.density?.gPerMl;
  const fromTub = grams(tubG) !== undefined && grams(tubMl) !== undefined ? (grams(tubG) ?? 1) / (grams(tubMl) ?? 1) : undefined;
  const density = known ?? fromTub;
  const strange = density !== undefined && (density < 0.2 || density > 1.6);
  const ml = net !== undefined && net > 0 && density !== undefined && !strange ? net / density : undefined;
  const save = async (): Promise<void> => {
    if (g === undefined || net === undefined || ml === undefined) return;
    await log([{ type: 'weighed', subjects: [sessionId], data: { batchId: b.batch.id, grossG: g, tareG: tare, netG: Math.round(net), volumeMl: Math.round(ml) } }], `${b.revision.name}: ${sayVolume(Math.round(ml))} came out`);
    onDone();
  };
  return (
    <section className="card" aria-label="Weigh">
      <h2>Weigh the pot</h2>
      <div className="row wrap" style={{ alignItems: 'flex-end', gap: 14 }}>
        <div><label className="lab" htmlFor="wg">Pot and food, grams</label><input id="wg" className="field" style={{ width: 150, fontSize: 20, fontWeight: 700 }} inputMode="decimal" value={gross} onChange={(e) => setGross(e.currentTarget.value)} /></div>
        <div><label className="lab" htmlFor="wp">Which pot</label><select id="wp" className="field" value={potId} onChange={(e) => setPot(e.currentTarget.value)}>{pots.map((p) => <option key={p.id} value={p.id}>{p.name}{p.tareG ? `, ${sayMass(p.tareG)} empty` : ', weight not known'}</option>)}<option value="none">no pot, food alone</option></select></div>
        {known === undefined && <><div><label className="lab" htmlFor="wt">One tub filled to its line, ml</label><input id="wt" className="field" style={{ width: 110 }} inputMode="decimal" value={tubMl} onChange={(e) => setTubMl(e.currentTarget.value)} /></div><div><label className="lab" htmlFor="wd">its food weighs, grams</label><input id="wd" className="field" style={{ width: 110 }} inputMode="decimal" value={tubG} onChange={(e) => setTubG(e.currentTarget.value)} /></div></>}
        <button type="button" className="btn" disabled={ml === undefined} onClick={() => void save()}>Take this</button>
      </div>
      <p className="sub" style={{ marginTop: 8, fontSize: 15 }} role="status">
        {net !== undefined && net <= 0 ? `That is less than the empty pot (${sayMass(tare)}). Check the pot or the figure; it is kept as typed.` : strange ? 'A litre of food weighs between 200 g and 1.6 kg: check the tub.' : ml !== undefined && net !== undefined ? `${sayMass(Math.round(net))} of food, ${sayVolume(Math.round(ml))}.` : known === undefined ? 'Its weight per litre is not known yet: fill one tub to its line and weigh it, once.' : `Planned: ${sayVolume(Math.round(b.yield.ml))}. Without weighing, that stands, marked as planned.`}
      </p>
    </section>
  );
}

interface Option {
  id: string;
  name: string;
  result: PackResult;
}

/** Ways to pack what is in the pot, from the containers that other dishes leave free. */
function optionsFor(b: BatchView, view: SessionView, frees: readonly Free[], groups: readonly number[]): Option[] {
  const others = view.batches.filter((x) => x.batch.id !== b.batch.id && !x.flags.packed && x.packing.ok).flatMap((x) => (x.packing.ok ? x.packing.choice.groups : []));
  const left = frees.map((f) => ({ ...f, free: Math.max(0, f.free - others.filter((g) => g.container.id === f.container.id).reduce((s, g) => s + g.packs, 0)) }));
  const own: Option = { id: 'plan', name: 'As planned', result: b.packing };
  if (b.revision.cubeMl !== undefined) return [own];
  const wish = { yieldMl: b.toPackMl, portionMl: b.yield.portionMl };
  const pan = b.revision.tags.includes('pan');
  const stand = left.filter((f) => (pan ? f.container.shape === 'pan' : f.container.shape === 'tub' || f.container.shape === 'jar'));
  const say = (g: readonly number[]): string => (g[0] === 1 ? 'All in singles' : g[0] === 2 ? 'All in twos' : `In ${g.join(' and ')}s`);
  const more: Option[] = [[1], [4], [2]].filter((g) => String(g) !== String(groups)).map((g) => ({ id: `g${g.join()}`, name: say(g), result: choosePacks({ ...wish, groups: g }, stand) }));
  const bags: Option = { id: 'bags', name: 'Flat bags', result: choosePacks({ ...wish, groups }, left.filter((f) => f.container.shape === 'bag')) };
  return [own, ...more.slice(0, 2), ...(pan ? [] : [bags])].filter((o, i, all) => all.findIndex((x) => JSON.stringify(x.result) === JSON.stringify(o.result)) === i);
}

const sayResult = (r: PackResult, kind: string): string => {
  if (!r.ok) return r.why === 'portionTooLarge' ? `one portion is larger than every container${r.nearest ? `; the nearest is ${r.nearest.name}` : ''}` : r.why === 'nothingFree' ? 'nothing that fits is free' : 'less than a portion is left: tonight\u2019s';
  return r.choice.groups.map((g) => `${g.packs} × ${g.container.name} of ${sayPortions(g.portionsEach)}`).join(', ') + (r.choice.portionsLeft > 0 ? `; ${sayPortions(r.choice.portionsLeft)} ${portionName(kind, r.choice.portionsLeft)} find no container` : '');
};

function Filling({ b, view }: { b: BatchView; view: SessionView }) {
  const kitchen = useKitchenQuery().data;
  const frame = useFrameQuery().data;
  const { log } = useCommands();
  const [chosen, setChosen] = useState('plan');
  const [problem, setProblem] = useState<string>();
  const [weighing, setWeighing] = useState(b.yield.how === 'planned');
  const frees = useMemo(() => (kitchen?.containers ?? []).map((c) => ({ container: c.container, free: c.free })), [kitchen]);
  if (!kitchen || !frame) return null;
  const options = optionsFor(b, view, frees, frame.household.groupSizes);
  const option = options.find((o) => o.id === chosen) ?? options[0];
  const choice = option?.result.ok ? option.result.choice : undefined;
  const pots = kitchen.equipment.filter((e) => (e.kind === 'pot' || e.kind === 'pan') && e.tareG !== undefined);
  const plan = { revision: b.revision, batchId: b.batch.id, sessionId: view.session.id, lot: b.lot, day: view.session.day, densityGPerMl: b.yield.densityGPerMl };
  const first = choice?.groups[0];
  const sample = first && filledData(plan, { code: '22222', container: first.container, portions: first.portionsEach, ml: first.mlEach, n: 1, of: choice.packs }, b.facts[first.container.id] ?? { reheat: [] });
  const allergenNames = new Map(Object.entries(kitchen.allergenNames));
  const drawn = sample?.ok ? previewOf(labelContent({ packId: 'sample', ...sample.data }, allergenNames), frame.household.address ?? '') : undefined;
  const fill = async (): Promise<void> => {
    if (!choice) return;
    const codes = await takeCodes(choice.packs);
    if (!codes) {
      setProblem('No codes are left on this device and Tambo does not answer. Nothing was changed; try again when it is back.');
      return;
    }
    const events: NewEvent[] = [];
    let n = 0;
    for (const g of choice.groups) {
      for (let i = 0; i < g.packs; i += 1) {
        n += 1;
        const made = filledData(plan, { code: codes[n - 1] ?? '', container: g.container, portions: g.portionsEach, ml: g.mlEach, n, of: choice.packs }, b.facts[g.container.id] ?? { reheat: [] });
        if (!made.ok) {
          setProblem(`Not packed: ${made.why}. Nothing was changed.`);
          return;
        }
        events.push({ type: 'filled', subjects: [newId()], data: made.data });
      }
    }
    if (choice.tonightMl >= 20) events.push({ type: 'eatenTonight', subjects: [view.session.id], data: { batchId: b.batch.id, day: frame.today, shares: [], volumeMl: Math.round(choice.tonightMl) } });
    setProblem(undefined);
    await log(events, `${b.revision.name}: ${countOf(choice.packs, 'pack')} filled`);
  };
  return (
    <>
      {weighing ? <WeighCard key={b.batch.id} b={b} sessionId={view.session.id} pots={pots} onDone={() => setWeighing(false)} /> : null}
      <div className="row wrap" style={{ margin: '14px 0', gap: 10, alignItems: 'stretch' }} role="radiogroup" aria-label="How to pack it">
        {options.map((o) => (
          <button type="button" key={o.id} role="radio" aria-checked={o.id === option?.id} onClick={() => setChosen(o.id)} className="grow" style={{ textAlign: 'left', border: `1.5px solid ${o.id === option?.id ? 'var(--rim)' : 'var(--line)'}`, background: o.id === option?.id ? 'var(--pale)' : 'var(--card)', borderRadius: 10, padding: '9px 12px', font: 'inherit', color: 'inherit', cursor: 'pointer', minWidth: 220 }}>
            <b>{o.name}</b>
            <div className="sub" style={{ fontSize: 15 }}>{sayResult(o.result, b.revision.kind)}</div>
            {o.result.ok && o.result.choice.tonightMl >= 20 && <div style={{ fontSize: 15 }}>{sayVolume(Math.round(o.result.choice.tonightMl))} for tonight</div>}
          </button>
        ))}
      </div>
      {problem && <p className="note bad" role="alert" style={{ marginBottom: 14 }}>{problem}</p>}
      <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.6fr) 420px', alignItems: 'start' }}>
        <section className="card" aria-label="Fill">
          <div className="cardhead"><h2>{b.cubes ? `${b.cubes.cubes} cubes in ${countOf(b.cubes.rounds, 'round')} of ${b.cubes.cellsPerRound}, then into bags` : 'Fill to the red line'}</h2><span className="quiet">drawn to scale</span></div>
          {choice && choice.groups.length > 0 ? <FillView groups={choice.groups} kind={b.revision.kind} densityGPerMl={b.yield.densityGPerMl} cubes={b.revision.cubeMl !== undefined} /> : <p className="note warn">{option ? sayResult(option.result, b.revision.kind) : ''}. {option && !option.result.ok && option.result.why === 'nothingFree' ? <>Wash up the empties in <Link to="/kitchen?tab=containers">Kitchen</Link>, or add what you have.</> : null}</p>}
          {choice && <div className="row" style={{ marginTop: 16 }}><button type="button" className="btn l" disabled={choice.packs === 0} onClick={() => void fill()}>Filled: {countOf(choice.packs, 'pack')}</button>{!weighing && <button type="button" className="btn l o" onClick={() => setWeighing(true)}>Weigh again</button>}</div>}
        </section>
        <div className="stack">
          <section className="card" aria-label="The label">
            <div className="cardhead"><h2>The label</h2><span className="quiet">63.5 x 38.1 mm</span></div>
            {drawn?.ok ? <LabelDrawing label={drawn.label} width="100%" /> : <p className="note bad">{drawn ? drawn.needed : sample && !sample.ok ? `No label: ${sample.why}.` : 'Choose how to pack it first.'}</p>}
            {drawn?.ok && drawn.label.moved.length > 0 && <p className="sub" style={{ marginTop: 8 }}>Goes to the session sheet: {drawn.label.moved.map((m) => `${m.head.toLowerCase()} ${m.text}`).join(' ')}</p>}
            {b.lot.life.ok && <p className="sub" style={{ marginTop: 8 }}>The code is given when it is filled. Keeps {b.lot.life.life.months} months because of the {b.lot.life.life.part} ({b.lot.life.life.source}).</p>}
          </section>
          <Cautions list={cautionsFor(b.revision.kind === 'puree' ? ['cooling', 'baby'] : ['cooling'], frame.household.country)} title="Before it goes in" />
        </div>
      </div>
    </>
  );
}

/** Packs of this dish once filled: put away together, labels next. */
function Filled({ b, places, sessionId }: { b: BatchView; places: readonly Place[]; sessionId: string }) {
  const { log } = useCommands();
  const cold = places.filter((p) => p.kind === 'freezer' || p.kind === 'chest');
  const preferred = cold.find((p) => p.prefers.includes(b.revision.kind)) ?? cold[0];
  const [at, setAt] = useState(`${preferred?.id ?? ''}|${preferred?.zones[0]?.id ?? ''}`);
  const loose = b.packs.filter((p) => !p.placeId && p.left > 0);
  const unlabelled = b.packs.filter((p) => !p.labelled);
  const put = (): void => {
    const [placeId = '', zoneId = ''] = at.split('|');
    void log(loose.map((p) => ({ type: 'moved' as const, subjects: [p.packId], data: { placeId, zoneId } })), `${b.revision.name}: put away`);
  };
  return (
    <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.4fr) minmax(0,1fr)', alignItems: 'start', marginTop: 14 }}>
      <section className="card" aria-label="Packs">
        <h2>{countOf(b.packs.length, 'pack')} of {b.revision.name}</h2>
        <ul className="rows" style={{ columns: '2 240px', columnGap: 28 }}>{b.packs.map((p) => <li key={p.packId} style={{ breakInside: 'avoid' }}><KindMark kind={p.kind} size={22} /><div className="grow"><Link className="main" to={`/p/${p.code}`}>{p.code}</Link><div className="sub">{sayPortions(p.portions)} {portionName(p.kind, p.portions)}, best by {sayDay(p.bestBy)}</div></div>{p.labelled ? null : <span className="tag t">no label</span>}{p.placeId ? <span className="tag l">away</span> : null}</li>)}</ul>
      </section>
      <div className="stack">
        {loose.length > 0 && <section className="card" aria-label="Put away"><h2>Put them away</h2><p className="sub" style={{ marginBottom: 8, fontSize: 15 }}>Cold first: under 5 °C, then in one layer.</p><div className="row wrap"><select className="field grow" aria-label="Where to" value={at} onChange={(e) => setAt(e.currentTarget.value)}>{cold.map((p) => <optgroup key={p.id} label={p.name}>{p.zones.map((z) => <option key={z.id} value={`${p.id}|${z.id}`}>{p.name}, {z.name}</option>)}</optgroup>)}</select><button type="button" className="btn" disabled={cold.length === 0} onClick={put}>{countOf(loose.length, 'pack')} put away</button></div></section>}
        <section className="card" aria-label="Labels"><h2>Labels</h2>{unlabelled.length === 0 ? <p>Every pack has its label.</p> : <><p style={{ marginBottom: 10 }}>{countOf(unlabelled.length, 'pack')} without one.</p><div className="row wrap"><Link className="btn" to={`/pack/${sessionId}/labels`}>Print labels</Link><button type="button" className="btn o" onClick={() => void log([{ type: 'labelled', subjects: unlabelled.map((p) => p.packId), data: { how: 'hand' } }], 'Written by hand')}>Written by hand</button></div></>}</section>
      </div>
    </div>
  );
}

/** Pack: weigh what came out, choose from what is free, fill to the line, label, put away; dish by dish. */
export function PackPage() {
  const { id = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { data, error, refetch } = useSessionQuery(id);
  const kitchen = useKitchenQuery().data;
  const frame = useFrameQuery().data;
  const sessions = useSessionsQuery().data;
  const { log } = useCommands();
  if (!data || !kitchen || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const b = data.batches.find((x) => x.batch.id === params.get('dish')) ?? data.batches.find((x) => !x.flags.packed) ?? data.batches[0];
  if (!b) return <main className="page"><Empty title="Nothing to pack" text="This session has no dishes."><Link className="btn" to={`/plan/${id}`}>Open the plan</Link></Empty></main>;
  const places = kitchen.places.map((p) => p.place);
  const weighed = b.yield.how === 'weighed';
  return (
    <main className="page">
      {brief && <SessionHeader brief={brief} here={`/pack/${id}`} />}
      <div className="chips" style={{ marginBottom: 12 }} role="group" aria-label="Dish">{data.batches.map((x) => <button type="button" key={x.batch.id} className="chip" aria-pressed={x.batch.id === b.batch.id} onClick={() => setParams({ dish: x.batch.id }, { replace: true })}><KindMark kind={x.revision.kind} size={16} color={x.batch.id === b.batch.id ? '#fff' : undefined} /> {x.revision.name}{x.flags.packed ? ' ✓' : ''}</button>)}</div>
      <PageHead title={<span className="row" style={{ gap: 14 }}><KindMark kind={b.revision.kind} size={38} />{b.flags.packed ? `${b.revision.name}: packed` : `${b.revision.name}: ${sayVolume(Math.round(b.toPackMl))} to pack`}</span>} lead={`${weighed ? `Weighed, ${sayMass(b.yield.g ?? 0)}` : 'Not weighed yet, as planned'}: ${sayPortions(Math.floor((b.yield.ml / b.yield.portionMl) * 4) / 4)} ${portionName(b.revision.kind, 2)} of ${sayVolume(Math.round(b.yield.portionMl))} (${sayPortions(b.batch.portions)} planned).${b.tonightMl > 0 ? ` ${sayVolume(Math.round(b.tonightMl))} went on the table.` : ''}`}>
        {!b.flags.packed && b.packs.length > 0 && <button type="button" className="btn o" onClick={() => void log([{ type: 'packingClosed', subjects: [id], data: { batchId: b.batch.id } }], `${b.revision.name}: that was all`)}>That was all</button>}
        <Link className="btn o" to={`/pack/${id}/labels`}>Labels</Link>
      </PageHead>
      {!b.flags.packed && b.toPackMl > 0 && <Filling key={b.batch.id + String(b.yield.how)} b={b} view={data} />}
      {b.packs.length > 0 && <Filled b={b} places={places} sessionId={id} />}
      <p className="sub" style={{ marginTop: 14 }}>Now {clockOf(frame.now, frame.household.timeZone)}. <Why label="what counts as packed">A dish is packed when filled packs, what was eaten from the pot and what was thrown away make up what came out, or when you say that was all. Less than one portion is tonight’s.</Why></p>
    </main>
  );
}
