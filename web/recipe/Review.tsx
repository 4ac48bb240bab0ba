import { useState } from 'react';
import { countOf } from '#core/kitchen';
import { readLine, type RecipeDraft } from '#core/recipe';
import type { Line } from '#core/contract';
import { api } from '../sync/api.ts';
import { useAppDispatch } from '../sync/store.ts';
import { useCommands } from '../sync/commands.ts';
import { useOnce } from '../ui/useOnce.ts';
import { newId, stampInstant } from '../sync/device.ts';
import { PageHead } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { answersFrom, problemsOf, ReviewQuestions, withAnswers, type Answers } from './ReviewCard.tsx';
import { LineRow } from './LineRow.tsx';

export function Review({ draft, onDone, onCancel }: { draft: RecipeDraft; onDone: (id: string) => void; onCancel: () => void }) {
  const [name, setName] = useState(draft.revision.name);
  const [lines, setLines] = useState(draft.revision.lines);
  const [answers, setAnswers] = useState<Answers>(() => answersFrom(draft.revision));
  const [more, setMore] = useState('');
  const { write } = useCommands();
  const unknown = lines.filter((l) => l.item.type === 'unmatched').length;
  const problems = [
    ...(name.trim() ? [] : ['Give it a name.']),
    ...problemsOf(answers),
    ...(lines.length > 0 ? [] : ['It has no ingredients yet: add a line.']),
  ];
  const [{ recipeId, id }] = useState(() => ({ recipeId: newId(), id: newId() }));
  const { busy, once } = useOnce();
  const adding = useOnce();
  const dispatch = useAppDispatch();
  const save = async (): Promise<void> => {
    const kept = new Set(lines.map((l) => l.id));
    const revision = {
      ...withAnswers(
        {
          ...draft.revision,
          name: name.trim(),
          lines,
          steps: draft.revision.steps.map((s) => ({ ...s, uses: s.uses.filter((u) => kept.has(u.lineId)) })),
        },
        answers,
      ),
      id,
      recipeId,
      madeAt: stampInstant(),
    };
    await write(
      [
        { table: 'recipe_revision', id, data: revision, was: null },
        {
          table: 'recipe',
          id: recipeId,
          data: { id: recipeId, revisionId: id, name: revision.name, kind: revision.kind, archived: false },
          was: null,
        },
      ],
      `${revision.name} is in your recipes`,
    );
    onDone(recipeId);
  };
  const addLine = async (): Promise<void> => {
    if (!more.trim()) return;
    const r = readLine(more);
    if (r.heading || !r.name.trim()) return;
    const best = await dispatch(api.endpoints.means.initiate(r.name))
      .unwrap()
      .then((m) => m.taken)
      .catch(() => undefined);
    const line: Line = {
      id: newId(),
      written: more,
      ...(r.amount !== undefined && { amount: r.amount }),
      ...(r.unit && { unit: r.unit }),
      item: best ? { type: 'ingredient', id: best.id } : { type: 'unmatched' },
      name: (best?.name ?? r.name).slice(0, 160),
      ...(r.form && { form: r.form }),
      moment: 'batch',
      scaling: { rule: 'proportional' },
    };
    setLines((now) => [...now, line]);
    setMore('');
  };
  return (
    <>
      <PageHead
        title={
          <span className="row" style={{ gap: 12 }}>
            <KindMark kind={answers.kind} size={34} />
            Check what was read
          </span>
        }
        lead={`${countOf(lines.length, 'line')}, ${unknown === 0 ? 'all known here' : `${unknown} not known here`}; ${countOf(draft.revision.steps.length, 'step')} with guessed minutes.${draft.yieldText ? ` The file says “${draft.yieldText}”.` : ''}`}
      >
        <button type="button" className="btn o" onClick={onCancel}>
          Another file
        </button>
        <button type="button" className="btn" disabled={busy || problems.length > 0} onClick={() => once(save)}>
          Keep this recipe
        </button>
      </PageHead>
      <div className="stack">
        <section className="card" aria-label="Five questions">
          <div style={{ marginBottom: 12 }}>
            <label className="lab" htmlFor="rv-name">
              Name
            </label>
            <input
              id="rv-name"
              className="field"
              style={{ width: '100%', fontSize: 19, fontWeight: 700 }}
              value={name}
              onChange={(e) => setName(e.currentTarget.value)}
            />
          </div>
          <ReviewQuestions answers={answers} onChange={setAnswers} />
          {problems.map((p) => (
            <p className="note bad" style={{ marginTop: 10 }} role="alert" key={p}>
              {p}
            </p>
          ))}
        </section>
        <section className="card" aria-label="Lines">
          <h2>Lines</h2>
          <table className="plain">
            <thead>
              <tr>
                <th>as written</th>
                <th>amount</th>
                <th>unit</th>
                <th>ingredient</th>
                <th>form</th>
                <th>
                  <span className="sr">leave out</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {lines.map((l) => (
                <LineRow
                  key={l.id}
                  line={l}
                  onChange={(n) => setLines(lines.map((x) => (x.id === l.id ? n : x)))}
                  onRemove={() => setLines(lines.filter((x) => x.id !== l.id))}
                />
              ))}
            </tbody>
          </table>
          <div className="row" style={{ marginTop: 10 }}>
            <input
              className="field grow"
              placeholder="Another line, such as 200 g peas"
              aria-label="Another line"
              value={more}
              onChange={(e) => setMore(e.currentTarget.value)}
              onKeyDown={(e) => e.key === 'Enter' && !adding.busy && adding.once(addLine)}
            />
            <button type="button" className="btn o" disabled={adding.busy} onClick={() => adding.once(addLine)}>
              Add line
            </button>
          </div>
        </section>
        <div className="grid" style={{ gridTemplateColumns: '1.4fr 1fr', alignItems: 'start' }}>
          <section className="card" aria-label="Steps">
            <h2>Steps</h2>
            <ol className="rows">
              {draft.revision.steps.map((s, i) => (
                <li key={s.id}>
                  <b>{i + 1}</b>
                  <div className="grow">
                    {s.text}
                    <div className="sub">
                      about {s.handsOnMin} min of hands{s.waitMin ? `, ${s.waitMin} min by itself` : ''} (guessed)
                    </div>
                  </div>
                </li>
              ))}
            </ol>
          </section>
          <section className="card" aria-label="Not understood">
            <h2>Not understood</h2>
            {draft.notUnderstood.length === 0 ? (
              <p className="quiet">Everything in the file was understood.</p>
            ) : (
              <ul className="rows">
                {draft.notUnderstood.map((n) => (
                  <li key={n.field}>
                    <div className="grow">
                      <b>{n.field}</b>
                      <div className="sub">{n.value}</div>
                    </div>
                  </li>
                ))}
              </ul>
            )}
          </section>
        </div>
      </div>
    </>
  );
}
