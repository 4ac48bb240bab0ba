import { useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Line, Unit } from '#core/contract';
import { countOf, fromNumber, toNumber, unitFacts } from '#core/kitchen';
import { readLine, type RecipeDraft } from '#core/recipe';
import { sayError, useIngredientsQuery, useReadRecipeMutation } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { newId, stampInstant } from '../app/device.ts';
import { PageHead } from '../app/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { answersFrom, problemsOf, ReviewQuestions, withAnswers, type Answers } from './ReviewCard.tsx';

/** Finds the ingredient a line means; typing searches, a tap takes it. */
function IngredientPick({ line, onPick }: { line: Line; onPick: (id: string, name: string) => void }) {
  const [q, setQ] = useState(line.name);
  const [open, setOpen] = useState(false);
  const found = useIngredientsQuery(q, { skip: !open || q.length < 2 }).data ?? [];
  return (
    <div style={{ position: 'relative' }}>
      <input className="field" style={{ width: '100%' }} aria-label={`Ingredient for “${line.written}”`} value={q} onFocus={() => setOpen(true)} onChange={(e) => { setQ(e.currentTarget.value); setOpen(true); }} />
      {open && found.length > 0 && (
        <div className="card" style={{ position: 'absolute', zIndex: 10, left: 0, right: 0, padding: 6, maxHeight: 230, overflow: 'auto' }}>
          {found.map((r) => <button type="button" key={r.id} className="link" style={{ display: 'block', width: '100%', textAlign: 'left', padding: '6px 8px' }} onClick={() => { onPick(r.id, r.name); setQ(r.name); setOpen(false); }}>{r.name}</button>)}
        </div>
      )}
    </div>
  );
}

const units = Object.keys(unitFacts) as Unit[];

/** One line as read: amount, unit, ingredient and form stay editable, what was written stays visible. */
function LineRow({ line, onChange, onRemove }: { line: Line; onChange: (l: Line) => void; onRemove: () => void }) {
  const [amount, setAmount] = useState(line.amount !== undefined ? String(Number(toNumber(line.amount).toFixed(3))) : '');
  const bad = amount.trim() !== '' && !(Number(amount.replace(',', '.')) > 0);
  const setA = (text: string): void => {
    setAmount(text);
    const n = Number(text.replace(',', '.'));
    const { amount: _a, ...rest } = line;
    if (text.trim() === '') onChange(rest);
    else if (n > 0) onChange({ ...line, amount: fromNumber(n), unit: line.unit ?? 'piece' });
  };
  return (
    <tr>
      <td style={{ width: '32%' }}><div>{line.written}</div>{line.item.type === 'unmatched' && <span className="tag s">not known here</span>}{bad && <div className="sub" style={{ color: 'var(--tomato)' }}>“{amount}” is no amount: the last good one is kept</div>}</td>
      <td><input className="field" style={{ width: 84, textAlign: 'right' }} inputMode="decimal" aria-label={`Amount of ${line.name}`} aria-invalid={bad} value={amount} onChange={(e) => setA(e.currentTarget.value)} /></td>
      <td><select className="field" aria-label={`Unit of ${line.name}`} value={line.unit ?? ''} onChange={(e) => { const { unit: _u, ...rest } = line; onChange(e.currentTarget.value ? { ...line, unit: e.currentTarget.value as Unit } : rest); }}><option value="">none</option>{units.map((u) => <option key={u} value={u}>{u === 'piece' ? 'pieces' : unitFacts[u].short}</option>)}</select></td>
      <td style={{ width: '26%' }}><IngredientPick line={line} onPick={(id, name) => onChange({ ...line, item: { type: 'ingredient', id }, name })} /></td>
      <td><select className="field" aria-label={`Form of ${line.name}`} value={line.form ?? ''} onChange={(e) => { const { form: _f, ...rest } = line; onChange(e.currentTarget.value ? { ...line, form: e.currentTarget.value as NonNullable<Line['form']> } : rest); }}><option value="">as it is</option>{['diced', 'sliced', 'grated', 'chopped', 'minced', 'pureed', 'peeled', 'cubed', 'drained', 'cooked', 'halved', 'torn', 'rinsed'].map((f) => <option key={f}>{f}</option>)}</select></td>
      <td className="num"><button type="button" className="link s danger" aria-label={`Leave out ${line.written}`} onClick={onRemove}>leave out</button></td>
    </tr>
  );
}

function Review({ draft, onDone, onCancel }: { draft: RecipeDraft; onDone: (id: string) => void; onCancel: () => void }) {
  const [name, setName] = useState(draft.revision.name);
  const [lines, setLines] = useState(draft.revision.lines);
  const [answers, setAnswers] = useState<Answers>(() => answersFrom(draft.revision));
  const [more, setMore] = useState('');
  const { write } = useCommands();
  const unknown = lines.filter((l) => l.item.type === 'unmatched').length;
  const problems = [...(name.trim() ? [] : ['Give it a name.']), ...problemsOf(answers), ...(lines.length > 0 ? [] : ['It has no ingredients yet: add a line.'])];
  const save = async (): Promise<void> => {
    const recipeId = newId();
    const id = newId();
    const kept = new Set(lines.map((l) => l.id));
    const revision = { ...withAnswers({ ...draft.revision, name: name.trim(), lines, steps: draft.revision.steps.map((s) => ({ ...s, uses: s.uses.filter((u) => kept.has(u.lineId)) })) }, answers), id, recipeId, madeAt: stampInstant() };
    await write([{ table: 'recipe_revision', id, data: revision }, { table: 'recipe', id: recipeId, data: { id: recipeId, revisionId: id, name: revision.name, kind: revision.kind, archived: false } }], `${revision.name} is in your recipes`);
    onDone(recipeId);
  };
  const addLine = (): void => {
    if (!more.trim()) return;
    const r = readLine(more);
    setLines([...lines, { id: `n${lines.length}-${newId().slice(-6)}`, written: more, ...(r.amount !== undefined && { amount: r.amount }), ...(r.unit && { unit: r.unit }), item: { type: 'unmatched' }, name: r.name, ...(r.form && { form: r.form }), moment: 'batch', scaling: { rule: 'proportional' } }]);
    setMore('');
  };
  return (
    <>
      <PageHead title={<span className="row" style={{ gap: 12 }}><KindMark kind={answers.kind} size={34} />Check what was read</span>} lead={`${countOf(lines.length, 'line')}, ${unknown === 0 ? 'all known here' : `${unknown} not known here`}; ${countOf(draft.revision.steps.length, 'step')} with guessed minutes.${draft.yieldText ? ` The file says “${draft.yieldText}”.` : ''}`}>
        <button type="button" className="btn o" onClick={onCancel}>Another file</button>
        <button type="button" className="btn" disabled={problems.length > 0} onClick={() => void save()}>Keep this recipe</button>
      </PageHead>
      <div className="stack">
        <section className="card" aria-label="Five questions">
          <div style={{ marginBottom: 12 }}><label className="lab" htmlFor="rv-name">Name</label><input id="rv-name" className="field" style={{ width: '100%', fontSize: 19, fontWeight: 700 }} value={name} onChange={(e) => setName(e.currentTarget.value)} /></div>
          <ReviewQuestions answers={answers} onChange={setAnswers} />
          {problems.map((p) => <p className="note bad" style={{ marginTop: 10 }} role="alert" key={p}>{p}</p>)}
        </section>
        <section className="card" aria-label="Lines">
          <h2>Lines</h2>
          <table className="plain">
            <thead><tr><th>as written</th><th>amount</th><th>unit</th><th>ingredient</th><th>form</th><th><span className="sr">leave out</span></th></tr></thead>
            <tbody>{lines.map((l) => <LineRow key={l.id} line={l} onChange={(n) => setLines(lines.map((x) => (x.id === l.id ? n : x)))} onRemove={() => setLines(lines.filter((x) => x.id !== l.id))} />)}</tbody>
          </table>
          <div className="row" style={{ marginTop: 10 }}><input className="field grow" placeholder="Another line, such as 200 g peas" aria-label="Another line" value={more} onChange={(e) => setMore(e.currentTarget.value)} onKeyDown={(e) => e.key === 'Enter' && addLine()} /><button type="button" className="btn o" onClick={addLine}>Add line</button></div>
        </section>
        <div className="grid" style={{ gridTemplateColumns: '1.4fr 1fr', alignItems: 'start' }}>
          <section className="card" aria-label="Steps"><h2>Steps</h2><ol className="rows">{draft.revision.steps.map((s, i) => <li key={s.id}><b>{i + 1}</b><div className="grow">{s.text}<div className="sub">about {s.handsOnMin} min of hands{s.waitMin ? `, ${s.waitMin} min by itself` : ''} (guessed)</div></div></li>)}</ol></section>
          <section className="card" aria-label="Not understood"><h2>Not understood</h2>{draft.notUnderstood.length === 0 ? <p className="quiet">Everything in the file was understood.</p> : <ul className="rows">{draft.notUnderstood.map((n) => <li key={n.field}><div className="grow"><b>{n.field}</b><div className="sub">{n.value}</div></div></li>)}</ul>}</section>
        </div>
      </div>
    </>
  );
}

/** A recipe file in: dropped or chosen, read, checked, kept. A file that cannot be read says why and loses nothing. */
export function ImportPage() {
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [read, state] = useReadRecipeMutation();
  const [drafts, setDrafts] = useState<RecipeDraft[]>([]);
  const [at, setAt] = useState(0);
  const [over, setOver] = useState(false);
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const answer = await read({ text: await file.text(), fileName: file.name });
    if (answer.data) {
      setDrafts(answer.data.drafts);
      setAt(0);
    }
  };
  const onDrop = (e: DragEvent): void => {
    e.preventDefault();
    setOver(false);
    void take(e.dataTransfer.files[0]);
  };
  const draft = drafts[at];
  if (draft) return <main className="page">{drafts.length > 1 && <div className="chips" style={{ marginBottom: 12 }}>{drafts.map((d, i) => <button type="button" key={d.revision.name + String(i)} className="chip" aria-pressed={i === at} onClick={() => setAt(i)}>{d.revision.name}</button>)}</div>}<Review key={at} draft={draft} onCancel={() => setDrafts([])} onDone={(id) => void navigate(`/recipes/${id}`)} /></main>;
  const said = state.error ? sayError(state.error) : undefined;
  return (
    <main className="page">
      <PageHead title="Bring in a recipe" lead="From a file on this computer: a web page you saved that holds a recipe, or a recipe file in JSON-LD." />
      <div className="card" onDragOver={(e) => { e.preventDefault(); setOver(true); }} onDragLeave={() => setOver(false)} onDrop={onDrop} style={{ borderStyle: 'dashed', borderWidth: 2, borderColor: 'var(--rim)', background: over ? 'var(--frost)' : 'var(--card)', padding: '54px 20px', textAlign: 'center' }}>
        <svg width="84" height="74" viewBox="0 0 84 74" aria-hidden="true"><path d="M20 4h34l14 14v52H20z" fill="var(--pale)" stroke="var(--rim)" strokeWidth="2.5" /><path d="M54 4v14h14M30 30h28M30 40h28M30 50h18" fill="none" stroke="var(--rim)" strokeWidth="2.5" /></svg>
        <h2 style={{ margin: '8px 0 4px' }}>Drop the file here</h2>
        <p className="quiet" style={{ marginBottom: 14 }}>.json, .html or .htm. You check everything before it is kept.</p>
        <input ref={input} type="file" accept=".json,.jsonld,.html,.htm,application/json,text/html" className="sr" aria-label="Recipe file" tabIndex={-1} onChange={(e) => { void take(e.currentTarget.files?.[0]); e.currentTarget.value = ''; }} />
        <button type="button" className="btn" disabled={state.isLoading} onClick={() => input.current?.click()}>{state.isLoading ? 'Reading...' : 'Choose a file'}</button>
      </div>
      {said && <div className="note bad" role="alert" style={{ marginTop: 14 }}><b>{said.message}</b>{said.refusals[0] && <div>{said.refusals[0].path}: expected {said.refusals[0].expected}, got {said.refusals[0].got}</div>}</div>}
      <p className="sub" style={{ marginTop: 14 }}>To save a page: in the browser choose “Save page as” and “HTML only”. <Link to="/recipes">Back to the recipes</Link></p>
    </main>
  );
}
