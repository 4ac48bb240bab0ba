import { unitFacts, sayPortions } from '#core/kitchen';
import type { Unit } from '#core/contract';
import { sayTargetError, type TargetError } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { Stepper } from '../ui/ui.tsx';
import type { Typing } from './useScaling.ts';
import { askedBy, haveUnit, numberIn, vesselsFor, waysFor, type Shown, type Way } from './target.ts';

const wayNames: Readonly<Record<Way, string>> = {
  portions: 'Portions',
  eaters: 'Who eats it',
  litres: 'Litres',
  grams: 'Grams',
  have: 'What I have',
  vessel: 'What fills a pot',
  cubes: 'Cubes',
};

const shownNames: readonly (readonly [Shown, string])[] = [
  ['metric', 'grams'],
  ['both', 'both'],
  ['us', 'cups'],
  ['uk', 'lb and pints'],
];

/** Units a cook may have something in. */
const haveUnits: readonly Unit[] = ['kg', 'g', 'l', 'ml', 'lb', 'oz', 'cup', 'tbsp', 'tsp', 'piece'];

function BigNumber({
  label,
  value,
  unit,
  onChange,
  bad,
}: {
  label: string;
  value: string;
  unit: string;
  onChange: (v: string) => void;
  bad: boolean;
}) {
  return (
    <label className="row" style={{ gap: 10 }}>
      <span className="sr">{label}</span>
      <input
        className="field"
        style={{ width: 112, fontSize: 24, fontWeight: 700, textAlign: 'right', fontFamily: 'var(--display)' }}
        inputMode="decimal"
        aria-label={label}
        value={value}
        onChange={(e) => onChange(e.currentTarget.value)}
        aria-invalid={bad}
        aria-describedby="scale-error"
      />
      <span className="mid">{unit}</span>
    </label>
  );
}

function WhoEats({ data, typing }: { data: RecipeAnswer; typing: Typing }) {
  const { draft, change } = typing;
  const baby = data.revision.kind === 'puree';
  const offered = data.eaters.filter((e) => (baby ? e.baby : e.stage !== 'baby'));
  const asked = askedBy(data, draft);
  const all = draft.eaterIds.length === 0;
  const toggle = (id: string): void => {
    const now = all ? offered.map((e) => e.id) : draft.eaterIds;
    const next = now.includes(id) ? now.filter((x) => x !== id) : [...now, id];
    change({ eaterIds: next.length === offered.length || next.length === 0 ? [] : next });
  };
  return (
    <div className="row wrap" style={{ gap: 14 }}>
      <div className="chips" role="group" aria-label="Who eats it">
        {offered.map((e) => (
          <button
            key={e.id}
            type="button"
            className="chip"
            aria-pressed={all || draft.eaterIds.includes(e.id)}
            onClick={() => toggle(e.id)}
          >
            {e.name}
          </button>
        ))}
      </div>
      <div className="chips" role="group" aria-label="For how long">
        {[7, 14, 21, 28].map((d) => (
          <button key={d} type="button" className="chip" aria-pressed={draft.days === d} onClick={() => change({ days: d })}>
            {d / 7} {d === 7 ? 'week' : 'weeks'}
          </button>
        ))}
      </div>
      {!baby && (
        <label className="row" style={{ gap: 8 }}>
          <span>this dish on</span>
          <select className="field" value={draft.every} onChange={(e) => change({ every: Number(e.currentTarget.value) })}>
            {[1, 2, 3, 4, 5, 7, 10, 14].map((n) => (
              <option key={n} value={n}>
                {n === 1 ? 'every dinner' : `one dinner in ${n}`}
              </option>
            ))}
          </select>
        </label>
      )}
      <span className="mid" role="status">
        {asked.who.length === 0 ? 'nobody' : `${asked.portions} ${portionName(data.revision.kind, asked.portions)}`}
        <span className="sub" style={{ fontWeight: 400 }}>
          {' '}
          {asked.who.map((w) => `${w.name} ${sayPortions(w.portions)}`).join(', ')}
        </span>
      </span>
    </div>
  );
}

function WhatIHave({ data, typing }: { data: RecipeAnswer; typing: Typing }) {
  const { draft, change } = typing;
  const lines = data.revision.lines.filter((l) => l.moment === 'batch' && l.amount !== undefined && l.unit);
  const set = (i: number, patch: Partial<(typeof draft.have)[number]>): void =>
    change({ have: draft.have.map((h, n) => (n === i ? { ...h, ...patch } : h)) });
  const others = lines.filter((l) => !draft.have.some((h) => h.lineId === l.id));
  return (
    <div className="stack" style={{ gap: 8 }}>
      {draft.have.map((h, i) => (
        <div className="row wrap" style={{ gap: 8 }} key={i}>
          <input
            className="field"
            style={{ width: 104, fontSize: 22, fontWeight: 700, textAlign: 'right' }}
            inputMode="decimal"
            aria-label="How much I have"
            value={h.amount}
            placeholder="2.4"
            onChange={(e) => set(i, { amount: e.currentTarget.value })}
            aria-invalid={h.amount.trim() !== '' && !(numberIn(h.amount) > 0)}
          />
          <select className="field" aria-label="Unit" value={h.unit} onChange={(e) => set(i, { unit: e.currentTarget.value as Unit })}>
            {[...new Set([...haveUnits, h.unit])].map((u) => (
              <option key={u} value={u}>
                {u === 'piece' ? 'pieces' : unitFacts[u].short}
              </option>
            ))}
          </select>
          <span>of</span>
          <select
            className="field"
            aria-label="Of what"
            value={h.lineId}
            onChange={(e) => {
              const line = lines.find((l) => l.id === e.currentTarget.value);
              set(i, { lineId: e.currentTarget.value, unit: haveUnit(line?.unit) });
            }}
          >
            {lines
              .filter((l) => l.id === h.lineId || others.includes(l))
              .map((l) => (
                <option key={l.id} value={l.id}>
                  {l.name}
                </option>
              ))}
          </select>
          {draft.have.length > 1 && (
            <button type="button" className="link s" onClick={() => change({ have: draft.have.filter((_, n) => n !== i) })}>
              not this
            </button>
          )}
          {i === draft.have.length - 1 && others[0] && (
            <button
              type="button"
              className="link s"
              onClick={() =>
                change({ have: [...draft.have, { lineId: others[0]?.id ?? '', amount: '', unit: haveUnit(others[0]?.unit) }] })
              }
            >
              and of another
            </button>
          )}
        </div>
      ))}
      <span className="sub">As bought: peel, core and tin liquid are taken off. The one that runs out first decides.</span>
    </div>
  );
}

function Target({ data, typing, bad }: { data: RecipeAnswer; typing: Typing; bad: boolean }) {
  const { draft, change } = typing;
  const { revision } = data;
  switch (draft.by) {
    case 'portions': {
      const n = numberIn(draft.portions);
      return (
        <div className="row wrap" style={{ gap: 14 }}>
          <BigNumber
            label="Portions"
            value={draft.portions}
            unit={portionName(revision.kind, n)}
            onChange={(portions) => change({ portions })}
            bad={bad}
          />
          <Stepper
            label="Portions"
            value={Number.isFinite(n) ? n : revision.servings}
            say={() => ''}
            min={1}
            max={2000}
            onChange={(p) => change({ portions: String(p) })}
          />
          <div className="chips" role="group" aria-label="Usual sizes">
            {[1, 2, 3].map((k) => (
              <button
                key={k}
                type="button"
                className="chip"
                aria-pressed={n === revision.servings * k}
                onClick={() => change({ portions: String(revision.servings * k) })}
              >
                {sayPortions(revision.servings * k)}
              </button>
            ))}
          </div>
        </div>
      );
    }
    case 'litres':
      return <BigNumber label="Litres" value={draft.litres} unit="litres" onChange={(litres) => change({ litres })} bad={bad} />;
    case 'grams':
      return <BigNumber label="Grams" value={draft.grams} unit="g finished" onChange={(grams) => change({ grams })} bad={bad} />;
    case 'cubes':
      return (
        <BigNumber
          label="Cubes"
          value={draft.cubes}
          unit={`cubes of ${revision.cubeMl ?? 27} ml`}
          onChange={(cubes) => change({ cubes })}
          bad={bad}
        />
      );
    case 'eaters':
      return <WhoEats data={data} typing={typing} />;
    case 'have':
      return <WhatIHave data={data} typing={typing} />;
    case 'vessel':
      return (
        <div className="chips" role="group" aria-label="Which pot or bowl">
          {vesselsFor(data).map((v) => (
            <button
              key={v.id}
              type="button"
              className="chip"
              aria-pressed={draft.vesselId === v.id}
              onClick={() => change({ vesselId: v.id })}
            >
              {v.name}
              {v.litres ? `, ${v.litres} L` : ''}
            </button>
          ))}
        </div>
      );
  }
}

/** What to scale to, and in which measures; one row of ways, then the one that is chosen. */
export function ScaleBar({ data, typing, error }: { data: RecipeAnswer; typing: Typing; error: TargetError | undefined }) {
  const { draft, change } = typing;
  return (
    <section className="card" aria-label="Scale to">
      <div className="row wrap" style={{ gap: 10, justifyContent: 'space-between' }}>
        <div className="chips" role="group" aria-label="Scale to">
          {waysFor(data).map((w) => (
            <button key={w} type="button" className="chip" aria-pressed={draft.by === w} onClick={() => change({ by: w })}>
              {wayNames[w]}
            </button>
          ))}
        </div>
        <div className="seg" role="group" aria-label="Measures">
          {shownNames.map(([id, name]) => (
            <button key={id} type="button" aria-pressed={draft.shown === id} onClick={() => change({ shown: id })}>
              {name}
            </button>
          ))}
        </div>
      </div>
      <div style={{ marginTop: 14 }}>
        <Target data={data} typing={typing} bad={error !== undefined} />
      </div>
      <div id="scale-error" role="alert">
        {error && !(error.why === 'nothingOnHand' && draft.by === 'have') && (
          <p className="note bad" style={{ marginTop: 10 }}>
            {sayTargetError(error)} Nothing else was changed; the last amounts are not shown so that nobody cooks by them.
          </p>
        )}
        {error?.why === 'nothingOnHand' && draft.by === 'have' && (
          <p className="sub">{sayTargetError(error)} Until then the amounts are as written.</p>
        )}
      </div>
    </section>
  );
}
