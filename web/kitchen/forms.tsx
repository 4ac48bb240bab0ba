import { useState } from 'react';
import type { Container, Eater, Equipment, Meal, Place } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import { useFrameQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { newId } from '../app/device.ts';
import { Field, numberOf, Pick, Sheet, Toggle } from './fields.tsx';

const week = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];
/** Factors of an adult's appetite by stage (reference 13.4). */
const appetites: Readonly<Record<Eater['stage'], number>> = { baby: 1, toddler: 0.3, child: 0.6, adult: 1, elder: 0.8 };
const stages = [['adult', 'adult'], ['elder', 'elder'], ['child', 'child'], ['toddler', 'toddler'], ['baby', 'baby']] as const;

const newEater = (): Eater => ({ id: newId(), name: '', stage: 'adult', appetite: 1, allergens: [], needs: [], presence: { weekly: Object.fromEntries(week.map((d) => [d, ['dinner']])), away: [], exceptions: [] } });

/** Who eats: appetite, what they must not eat, which meals on which days, a rota. */
export function EaterForm({ eater, allergenNames, onClose }: { eater: Eater | undefined; allergenNames: Record<string, string>; onClose: () => void }) {
  const { write } = useCommands();
  const today = useFrameQuery().data?.today ?? '2026-01-01';
  const [e, setE] = useState<Eater>(eater ?? newEater());
  const [appetite, setAppetite] = useState(String(e.appetite));
  const [rota, setRota] = useState({ first: e.presence.rota?.firstDay ?? today, on: String(e.presence.rota?.daysOn ?? 14), off: String(e.presence.rota?.daysOff ?? 14) });
  const [onRota, setOnRota] = useState(Boolean(e.presence.rota));
  const a = numberOf(appetite);
  const on = numberOf(rota.on);
  const off = numberOf(rota.off);
  const problems = [...(e.name.trim() ? [] : ['Give a name.']), ...(a !== undefined && a >= 0.1 && a <= 3 ? [] : ['An appetite lies between 0.1 and 3 plates.']), ...(!onRota || (on !== undefined && off !== undefined && Number.isInteger(on) && Number.isInteger(off) && on > 0 && off > 0) ? [] : ['A rota has whole days away and home.'])];
  const toggleMeal = (d: (typeof week)[number], m: Meal): void => {
    const now = e.presence.weekly[d] ?? [];
    setE({ ...e, presence: { ...e.presence, weekly: { ...e.presence.weekly, [d]: now.includes(m) ? now.filter((x) => x !== m) : [...now, m] } } });
  };
  const save = (): void => {
    const { rota: _rota, ...presence } = e.presence;
    const { baby, ...rest } = e;
    const data: Eater = { ...rest, name: e.name.trim(), appetite: a ?? 1, presence: { ...presence, ...(onRota && { rota: { firstDay: rota.first, daysOn: on ?? 14, daysOff: off ?? 14 } }) }, ...(e.stage === 'baby' && { baby: baby ?? { mealsPerDay: 2, cubesPerMeal: 3 } }) };
    void write([{ table: 'eater', id: e.id, data }], `${data.name} is at the table`);
    onClose();
  };
  return (
    <Sheet title={eater ? e.name : 'Who eats?'} problems={problems} onSave={save} onClose={onClose} onRemove={eater && (() => { void write([{ table: 'eater', id: e.id, data: null }], `${e.name} is taken off the table`); onClose(); })}>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}>
        <Field label="Name" value={e.name} onChange={(name) => setE({ ...e, name })} />
        <Pick label="Stage" value={e.stage} options={stages} onChange={(stage) => { setE({ ...e, stage }); setAppetite(String(appetites[stage])); }} />
        {e.stage !== 'baby' && <Field label="Appetite" unit="plates" type="number" width={110} value={appetite} onChange={setAppetite} />}
        {e.stage === 'baby' && <><Field label="Born" type="date" width={170} value={e.birthDay ?? ''} onChange={(birthDay) => setE({ ...e, ...(birthDay && { birthDay }) })} /><Field label="Meals a day" type="number" width={110} value={String(e.baby?.mealsPerDay ?? 2)} onChange={(v) => setE({ ...e, baby: { mealsPerDay: Math.min(6, Math.max(1, Math.round(numberOf(v) ?? 2))), cubesPerMeal: e.baby?.cubesPerMeal ?? 3 } })} /><Field label="Cubes a meal" type="number" width={110} value={String(e.baby?.cubesPerMeal ?? 3)} onChange={(v) => setE({ ...e, baby: { mealsPerDay: e.baby?.mealsPerDay ?? 2, cubesPerMeal: Math.min(12, Math.max(1, Math.round(numberOf(v) ?? 3))) } })} /></>}
      </div>
      <div><span className="lab">At the table</span>
        <table className="plain" style={{ width: 'auto' }}><thead><tr><th /><th>Mon</th><th>Tue</th><th>Wed</th><th>Thu</th><th>Fri</th><th>Sat</th><th>Sun</th></tr></thead><tbody>{meals.map((m) => <tr key={m}><td>{m}</td>{week.map((d) => { const is = e.presence.weekly[d]?.includes(m) ?? false; return <td key={d} style={{ padding: 4 }}><button type="button" className="tick" role="checkbox" aria-checked={is} aria-label={`${m} on ${d}`} onClick={() => toggleMeal(d, m)}>{is ? '✓' : ''}</button></td>; })}</tr>)}</tbody></table>
      </div>
      <div><Toggle on={onRota} onChange={setOnRota}>Works a rota</Toggle>{onRota && <div className="row wrap" style={{ marginTop: 8 }}><Field label="First day away" type="date" width={170} value={rota.first} onChange={(first) => setRota({ ...rota, first })} /><Field label="Days away" type="number" width={100} value={rota.on} onChange={(v) => setRota({ ...rota, on: v })} /><Field label="Days home" type="number" width={100} value={rota.off} onChange={(v) => setRota({ ...rota, off: v })} /></div>}</div>
      <div><span className="lab">Must not eat</span><div className="chips">{Object.entries(allergenNames).map(([id, name]) => <Toggle key={id} on={e.allergens.includes(id)} onChange={(yes) => setE({ ...e, allergens: yes ? [...e.allergens, id] : e.allergens.filter((x) => x !== id) })}>{name}</Toggle>)}</div></div>
      <div className="chips"><Toggle on={e.needs.includes('lowSalt')} onChange={(yes) => setE({ ...e, needs: yes ? [...e.needs, 'lowSalt'] : e.needs.filter((n) => n !== 'lowSalt') })}>low salt</Toggle><Toggle on={e.needs.includes('vegetarian')} onChange={(yes) => setE({ ...e, needs: yes ? [...e.needs, 'vegetarian'] : e.needs.filter((n) => n !== 'vegetarian') })}>vegetarian</Toggle><Toggle on={e.needs.includes('noPork')} onChange={(yes) => setE({ ...e, needs: yes ? [...e.needs, 'noPork'] : e.needs.filter((n) => n !== 'noPork') })}>no pork</Toggle></div>
    </Sheet>
  );
}

/** A pot: litres, size and its own weight, so that it can be weighed full. */
export function GearForm({ gear, onClose }: { gear: Equipment | undefined; onClose: () => void }) {
  const { write } = useCommands();
  const [f, setF] = useState({ name: gear?.name ?? '', count: String(gear?.count ?? 1), litres: gear?.litres ? String(gear.litres) : '', diameter: gear?.diameterMm ? String(gear.diameterMm) : '', height: gear?.heightMm ? String(gear.heightMm) : '', tare: gear?.tareG ? String(gear.tareG) : '' });
  const set = (k: keyof typeof f) => (v: string): void => setF({ ...f, [k]: v });
  const positive = (text: string, what: string, most: number): string[] => (text.trim() === '' || (numberOf(text) ?? 0) > 0 && (numberOf(text) ?? 0) <= most ? [] : [`${what}: “${text}” cannot be right; leave it empty or give a figure up to ${most}.`]);
  const problems = [...(f.name.trim() ? [] : ['Give it a name.']), ...positive(f.litres, 'Litres', 100), ...positive(f.diameter, 'Diameter', 1000), ...positive(f.height, 'Height', 1000), ...positive(f.tare, 'Weight', 50_000)];
  const opt = <K extends string>(key: K, text: string): Partial<Record<K, number>> => (numberOf(text) ? ({ [key]: numberOf(text) } as Partial<Record<K, number>>) : {});
  const save = (): void => {
    const data: Equipment = { id: gear?.id ?? newId(), name: f.name.trim(), kind: gear?.kind ?? 'pot', count: Math.max(0, Math.round(numberOf(f.count) ?? 1)), ...opt('litres', f.litres), ...opt('diameterMm', f.diameter), ...opt('heightMm', f.height), ...opt('tareG', f.tare) };
    void write([{ table: 'equipment', id: data.id, data }], `${data.name} is noted`);
    onClose();
  };
  return (
    <Sheet title={gear ? gear.name : 'A pot'} problems={problems} onSave={save} onClose={onClose} onRemove={gear && (() => { void write([{ table: 'equipment', id: gear.id, data: null }], `${gear.name} is gone`); onClose(); })}>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}><Field label="Name" value={f.name} onChange={set('name')} /><Field label="How many" type="number" width={90} value={f.count} onChange={set('count')} /><Field label="Holds" unit="L" type="number" width={90} value={f.litres} onChange={set('litres')} /></div>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}><Field label="Inner diameter" unit="mm" type="number" width={140} value={f.diameter} onChange={set('diameter')} /><Field label="Inner height" unit="mm" type="number" width={140} value={f.height} onChange={set('height')} /><Field label="Empty weight" unit="g" type="number" width={140} value={f.tare} onChange={set('tare')} /></div>
    </Sheet>
  );
}

const materials: readonly (readonly [string, string])[] = [['m_pp', 'plastic tub'], ['m_pe_bag', 'freezer bag'], ['m_foil', 'foil'], ['m_jar', 'glass jar, straight'], ['m_silicone_tray', 'silicone'], ['m_glass_boro', 'borosilicate glass']];

/** A first filling-in from a reference row: shape, brim and fill. */
function fromPreset(row: ReferenceRow): Partial<Container> {
  const n = (k: string): number | undefined => (typeof row[k] === 'number' ? row[k] : numberOf(String(row[k] ?? '').split('-')[0] ?? ''));
  if (row.id.startsWith('bag_')) return { name: `Bag, ${String(row.bag)}`, shape: 'bag', brimMl: (n('nominalL') ?? 1) * 1000, fillMl: (n('fillPracticalL') ?? 0.7) * 1000, widthMm: (n('widthCm') ?? 18) * 10, footMm: (n('widthCm') ?? 18) * 10, heightMm: (n('lengthCm') ?? 20) * 10, depthMm: 25, materialId: 'm_pe_bag', oneUse: true };
  if (row.id.startsWith('pan_')) {
    const [l = 20, w = 20, d = 5] = String(row.dimsCm ?? '').split(' x ').map(Number);
    return { name: `Foil pan, ${String(row.pan)}`, shape: 'pan', brimMl: (n('brimL') ?? 1) * 1000, fillMl: (n('fillL') ?? 0.8) * 1000, widthMm: l * 10, footMm: l * 9, heightMm: (Number.isFinite(d) ? d : 4) * 10, depthMm: (Number.isFinite(w) ? w : l) * 10, materialId: 'm_foil', oneUse: true };
  }
  const nominal = n('nominalMl') ?? 500;
  const tray = row.id.startsWith('tray') || row.id.startsWith('block') || row.id.startsWith('muffin');
  const width = Math.round(Math.cbrt(nominal * 1000 * 1.45));
  return tray ? { name: `Tray, ${String(row.container)}`, shape: 'tray', brimMl: nominal, fillMl: n('fillMl') ?? nominal * 0.9, widthMm: 260, footMm: 250, heightMm: 35, depthMm: 110, cells: 14, materialId: 'm_silicone_tray', oneUse: false } : { name: `${row.id.startsWith('jar') ? 'Jar' : 'Tub'} ${nominal} ml`, shape: row.id.startsWith('jar') ? 'jar' : 'tub', brimMl: nominal, fillMl: n('fillMl') ?? nominal * 0.87, widthMm: width, footMm: Math.round(width * 0.87), heightMm: Math.round((nominal * 1000) / (width * width * 0.7)), depthMm: width, materialId: row.id.startsWith('jar') ? 'm_jar' : 'm_pp', oneUse: false };
}

/** A container: one tap from a common one, then how many; every figure may be corrected. */
export function ContainerForm({ container, presets, onClose }: { container: Container | undefined; presets: readonly ReferenceRow[]; onClose: () => void }) {
  const { write } = useCommands();
  const [c, setC] = useState<Container>(container ?? { id: newId(), name: '', shape: 'tub', brimMl: 500, fillMl: 430, heightMm: 64, widthMm: 108, footMm: 92, depthMm: 108, owned: 6, oneUse: false, materialId: 'm_pp' });
  const [t, setT] = useState({ brim: String(c.brimMl), fill: String(c.fillMl), owned: String(c.owned), tare: c.tareG === undefined ? '' : String(c.tareG), w: String(c.widthMm), h: String(c.heightMm), cells: String(c.cells ?? 14) });
  const preset = (row: ReferenceRow): void => {
    const next = { ...c, ...fromPreset(row), presetId: row.id };
    setC(next);
    setT({ ...t, brim: String(next.brimMl), fill: String(next.fillMl), w: String(next.widthMm), h: String(next.heightMm) });
  };
  const brim = numberOf(t.brim) ?? 0;
  const fill = numberOf(t.fill) ?? 0;
  const owned = numberOf(t.owned) ?? -1;
  const problems = [...(c.name.trim() ? [] : ['Give it a name.']), ...(brim > 0 ? [] : ['How much does it hold to the brim or seal?']), ...(fill > 0 && fill <= brim ? [] : ['The fill lies above 0 and at most at the brim: leave room for the ice.']), ...(owned >= 0 && Number.isInteger(owned) ? [] : ['How many are there? A whole number.']), ...((numberOf(t.w) ?? 0) > 0 && (numberOf(t.h) ?? 0) > 0 ? [] : ['Give its inner width and height in mm.'])];
  const save = (): void => {
    const { tareG: _t, cells: _c, ...rest } = c;
    const tare = numberOf(t.tare);
    const data: Container = { ...rest, name: c.name.trim(), brimMl: brim, fillMl: fill, owned, widthMm: numberOf(t.w) ?? c.widthMm, heightMm: numberOf(t.h) ?? c.heightMm, footMm: Math.min(c.footMm, numberOf(t.w) ?? c.footMm), ...(tare !== undefined && tare >= 0 && { tareG: tare }), ...(c.shape === 'tray' && { cells: Math.max(1, Math.round(numberOf(t.cells) ?? 14)) }) };
    void write([{ table: 'container', id: data.id, data }], `${data.name}: ${data.owned}`);
    onClose();
  };
  return (
    <Sheet title={container ? container.name : 'A container'} problems={problems} onSave={save} onClose={onClose} onRemove={container && (() => { void write([{ table: 'container', id: c.id, data: null }], `${c.name} is gone`); onClose(); })}>
      {!container && <div><span className="lab">Common ones</span><div className="chips" style={{ maxHeight: 150, overflow: 'auto' }}>{presets.map((p) => <Toggle key={p.id} on={c.presetId === p.id} onChange={() => preset(p)}>{fromPreset(p).name ?? p.id}</Toggle>)}</div></div>}
      <div className="row wrap" style={{ alignItems: 'flex-start' }}><Field label="Name" value={c.name} onChange={(name) => setC({ ...c, name })} /><Field label="How many" type="number" width={100} value={t.owned} onChange={(v) => setT({ ...t, owned: v })} /></div>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}><Field label={c.shape === 'tray' ? 'One cell to the brim' : 'To the brim or seal'} unit="ml" type="number" width={150} value={t.brim} onChange={(v) => setT({ ...t, brim: v })} /><Field label="Fill to" unit="ml" type="number" width={110} value={t.fill} onChange={(v) => setT({ ...t, fill: v })} /><Field label="Inner width" unit="mm" type="number" width={120} value={t.w} onChange={(v) => setT({ ...t, w: v })} /><Field label="Inner height" unit="mm" type="number" width={120} value={t.h} onChange={(v) => setT({ ...t, h: v })} /><Field label="Empty weight" unit="g" type="number" width={120} value={t.tare} onChange={(v) => setT({ ...t, tare: v })} />{c.shape === 'tray' && <Field label="Cells" type="number" width={90} value={t.cells} onChange={(v) => setT({ ...t, cells: v })} />}</div>
      <div className="row wrap"><Pick label="Shape" value={c.shape} options={[['tub', 'tub'], ['bag', 'bag'], ['pan', 'pan'], ['jar', 'jar'], ['tray', 'cube tray']]} onChange={(shape) => setC({ ...c, shape })} /><Pick label="Material" value={c.materialId} options={materials} onChange={(materialId) => setC({ ...c, materialId })} /><div style={{ alignSelf: 'flex-end' }}><Toggle on={c.oneUse} onChange={(oneUse) => setC({ ...c, oneUse })}>used once</Toggle></div></div>
    </Sheet>
  );
}

/** A cold place with its baskets or shelves. */
export function PlaceForm({ place, onClose }: { place: Place | undefined; onClose: () => void }) {
  const { write } = useCommands();
  const [p, setP] = useState<Place>(place ?? { id: newId(), name: '', kind: 'freezer', litres: 70, temperatureC: -18, zones: [{ id: newId(), name: 'top', litres: 35 }, { id: newId(), name: 'drawer', litres: 35 }], prefers: [] });
  const [t, setT] = useState({ litres: String(p.litres), temp: String(p.temperatureC), zones: p.zones.map((z) => z.name).join(', ') });
  const litres = numberOf(t.litres) ?? 0;
  const temp = numberOf(t.temp);
  const names = t.zones.split(',').map((z) => z.trim()).filter(Boolean);
  const problems = [...(p.name.trim() ? [] : ['Give it a name.']), ...(litres > 0 && litres <= 2000 ? [] : ['How many litres does it hold?']), ...(temp !== undefined && temp >= -60 && temp <= 40 ? [] : ['How cold is it, in °C?']), ...(names.length > 0 ? [] : ['Name at least one shelf or basket.'])];
  const save = (): void => {
    const zones = names.map((name, i) => ({ id: p.zones[i]?.id ?? newId(), name, litres: names.length === p.zones.length && litres === p.litres ? (p.zones[i]?.litres ?? litres / names.length) : litres / names.length }));
    void write([{ table: 'place', id: p.id, data: { ...p, name: p.name.trim(), litres, temperatureC: temp ?? -18, zones } }], `${p.name} is noted`);
    onClose();
  };
  return (
    <Sheet title={place ? place.name : 'A cold place'} problems={problems} onSave={save} onClose={onClose} onRemove={place && (() => { void write([{ table: 'place', id: p.id, data: null }], `${p.name} is gone`); onClose(); })}>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}><Field label="Name" value={p.name} onChange={(name) => setP({ ...p, name })} /><Pick label="Kind" value={p.kind} options={[['freezer', 'freezer'], ['chest', 'chest freezer'], ['fridge', 'fridge'], ['coolRoom', 'cool room'], ['shelf', 'shelf']]} onChange={(kind) => setP({ ...p, kind })} /></div>
      <div className="row wrap" style={{ alignItems: 'flex-start' }}><Field label="Litres" type="number" width={100} value={t.litres} onChange={(v) => setT({ ...t, litres: v })} /><Field label="Temperature" unit="°C" type="number" width={130} value={t.temp} onChange={(v) => setT({ ...t, temp: v })} /><Field label="Shelves or baskets, with commas" value={t.zones} onChange={(v) => setT({ ...t, zones: v })} /></div>
      <Field label="What to know about it" value={p.note ?? ''} onChange={(note) => setP({ ...p, note })} />
    </Sheet>
  );
}
