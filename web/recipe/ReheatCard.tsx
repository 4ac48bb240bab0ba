import { useState } from 'react';
import type { Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Field, Pick } from '../kitchen/fields.tsx';
import { useRevise } from './useRevise.ts';

/** How the dish is heated once it comes out of the freezer: a class, guessed until it is confirmed in one tap, or the cook's own words. */
export function ReheatCard({ data }: { data: RecipeAnswer }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const { heat, revision } = data;
  const [own, setOwn] = useState(revision.ownReheat ?? '');
  const [ownThaw, setOwnThaw] = useState(revision.ownThaw ?? '');
  const [open, setOpen] = useState(false);
  const confirm = (classId: string): void =>
    void write(
      revise((r): Revision => ({ ...r, reheatClass: classId, confirmed: [...new Set([...r.confirmed, 'reheat' as const])] })),
      `${revision.name}: heated as ${heat.classes.find((c) => c.id === classId)?.name ?? classId}`,
    );
  const keepOwn = (): void =>
    void write(
      revise((r): Revision => {
        const { ownReheat: _r, ownThaw: _t, ...rest } = r;
        return { ...rest, ...(own.trim() && { ownReheat: own.trim() }), ...(ownThaw.trim() && { ownThaw: ownThaw.trim() }) };
      }),
      `${revision.name}: its own words for heating`,
    );
  const changed = own.trim() !== (revision.ownReheat ?? '') || ownThaw.trim() !== (revision.ownThaw ?? '');
  return (
    <section className="card" aria-label="Reheating" id="reheating">
      <div className="cardhead">
        <h2>Reheating</h2>
        {heat.guess && <span className="tag s">guessed</span>}
      </div>
      <div className="row wrap" style={{ alignItems: 'flex-end', gap: 10 }}>
        <Pick label="Heated as" value={heat.classId} options={heat.classes.map((c) => [c.id, c.name] as const)} onChange={confirm} />
        {heat.guess && (
          <button type="button" className="btn" onClick={() => confirm(heat.classId)}>
            That’s right
          </button>
        )}
      </div>
      <p style={{ marginTop: 10 }}>
        {heat.sample.heat[0]?.[0]}{' '}
        {heat.sample.usual && <span className="quiet">Usual times, for two in a tub; each pack has its own.</span>}
      </p>
      {heat.sample.thaw && <p className="quiet">Thaw: {heat.sample.thaw}.</p>}
      <button type="button" className="link" aria-expanded={open} onClick={() => setOpen(!open)}>
        in your own words
      </button>
      {open && (
        <div className="stack" style={{ gap: 8, marginTop: 8 }}>
          <Field label="Heating, as its labels say it" value={own} onChange={setOwn} />
          <Field label="Thawing" value={ownThaw} onChange={setOwnThaw} />
          <div className="row">
            <button type="button" className="btn s" disabled={!changed || own.length > 300 || ownThaw.length > 200} onClick={keepOwn}>
              Keep
            </button>
            <span className="sub">Empty, the usual times stand. Reheat right through, until it is steaming hot.</span>
          </div>
        </div>
      )}
    </section>
  );
}
