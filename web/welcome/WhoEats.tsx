import { useRef, useState } from 'react';
import type { Eater } from '#core/contract';
import { useCommands } from '../sync/commands.ts';
import { newEater } from '../kitchen/newEater.ts';

const stages: readonly (readonly [Eater['stage'], string])[] = [
  ['adult', 'adult'],
  ['elder', 'elder'],
  ['child', 'child'],
  ['toddler', 'toddler'],
  ['baby', 'baby'],
];

/** Step 1: a name and what they are, one tap each. */
export function WhoEats({ eaters }: { eaters: readonly Eater[] }) {
  const { write } = useCommands();
  const [name, setName] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const add = (stage: Eater['stage']): void => {
    const eater = newEater(stage, name.trim() || `Somebody ${eaters.length + 1}`);
    void write([{ table: 'eater', id: eater.id, data: eater, was: null }], `${eater.name} is at the table`);
    setName('');
    field.current?.focus();
  };
  return (
    <>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          add('adult');
        }}
      >
        <label className="lab" htmlFor="whoname">
          Name
        </label>
        <input
          id="whoname"
          ref={field}
          className="field"
          style={{ width: '100%', maxWidth: 420, fontSize: 20, minHeight: 52 }}
          autoFocus
          autoComplete="off"
          placeholder="Ines"
          value={name}
          onChange={(e) => setName(e.currentTarget.value)}
        />
      </form>
      <div className="chips" style={{ marginTop: 12 }} role="group" aria-label="Add as">
        {stages.map(([stage, says]) => (
          <button key={stage} type="button" className="chip" onClick={() => add(stage)}>
            + {says}
          </button>
        ))}
      </div>
      <ul className="rows" style={{ marginTop: 14 }} aria-label="At the table">
        {eaters.map((e) => (
          <li key={e.id}>
            <b className="grow">{e.name}</b>
            <span className="quiet">{e.stage}, dinner every day</span>
            <button
              type="button"
              className="link s"
              aria-label={`Take ${e.name} off`}
              onClick={() => void write([{ table: 'eater', id: e.id, data: null, was: e }], `${e.name} is taken off the table`)}
            >
              take off
            </button>
          </li>
        ))}
      </ul>
      {eaters.length > 0 && (
        <p className="sub" style={{ marginTop: 8, fontSize: 15 }}>
          Rotas, allergens, appetites and other meals are set in Kitchen whenever you like.
        </p>
      )}
    </>
  );
}
