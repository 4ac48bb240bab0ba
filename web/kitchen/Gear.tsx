import { useState } from 'react';
import type { Equipment } from '#core/contract';
import { sayMass } from '#core/kitchen';
import type { KitchenAnswer } from '#core/session';
import { useCommands } from '../app/commands.ts';
import { GearForm } from './GearForm.tsx';

export const heat: readonly { kind: Equipment['kind']; name: string; count: number; of: string }[] = [
  { kind: 'hob', name: 'Hob', count: 4, of: 'burners' },
  { kind: 'oven', name: 'Oven', count: 2, of: 'shelves' },
  { kind: 'microwave', name: 'Microwave', count: 1, of: '' },
];

export function Gear({ data }: { data: KitchenAnswer }) {
  const { write } = useCommands();
  const [editing, setEditing] = useState<Equipment | 'new'>();
  const vessels = data.equipment.filter((e) => e.kind === 'pot' || e.kind === 'pan');
  const rest = data.equipment.filter((e) => !['pot', 'pan', 'hob', 'oven', 'microwave'].includes(e.kind));
  const tallest = Math.max(150, ...vessels.map((v) => v.heightMm ?? 150));
  return (
    <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.5fr) minmax(0,1fr)', alignItems: 'start' }}>
      <section className="card" aria-label="Pots">
        <div className="cardhead">
          <h2>Pots, side by side</h2>
          <span className="quiet">a pot with its own weight can be weighed full</span>
        </div>
        {vessels.length === 0 ? (
          <p className="quiet">No pots yet. Add the ones you cook big batches in.</p>
        ) : (
          <div className="row wrap" style={{ alignItems: 'flex-end', gap: 26 }}>
            {vessels.map((v) => {
              const s = 0.55;
              const pw = (v.diameterMm ?? 220) * s;
              const ph = (v.heightMm ?? 120) * s;
              return (
                <div key={v.id} style={{ textAlign: 'center' }}>
                  <svg width={pw + 30} height={tallest * s + 8} viewBox={`0 0 ${pw + 30} ${tallest * s + 8}`} aria-hidden="true">
                    <g transform={`translate(15 ${tallest * s - ph + 4})`}>
                      <path d={`M0 ${ph * 0.25}V${ph - 6}a6 6 0 0 0 6 6H${pw - 6}a6 6 0 0 0 6-6V${ph * 0.25}`} fill="var(--frost)" />
                      <path
                        d={`M0 0V${ph - 6}a6 6 0 0 0 6 6H${pw - 6}a6 6 0 0 0 6-6V0`}
                        fill="none"
                        stroke="var(--rim)"
                        strokeWidth="2.2"
                      />
                      <path d={`M-13 ${ph * 0.2}H0M${pw} ${ph * 0.2}h13`} stroke="var(--rim)" strokeWidth="4" />
                      <path d={`M2 ${ph * 0.25}H${pw - 2}`} stroke="var(--rim)" strokeDasharray="3 3" />
                    </g>
                  </svg>
                  <div className="strong">
                    {v.name}
                    {v.count > 1 ? `, ${v.count}` : ''}
                  </div>
                  <div className="sub">
                    {v.litres ? `${v.litres} L` : 'litres?'},{' '}
                    {v.tareG ? `${sayMass(v.tareG)} empty` : <span style={{ color: 'var(--saffron)' }}>weigh it empty once</span>}
                  </div>
                  <button type="button" className="link s" onClick={() => setEditing(v)}>
                    change
                  </button>
                </div>
              );
            })}
          </div>
        )}
        <div style={{ marginTop: 14 }}>
          <button type="button" className="btn o" onClick={() => setEditing('new')}>
            Add a pot
          </button>
        </div>
      </section>
      <div className="stack">
        <section className="card" aria-label="Heat">
          <h2>Heat</h2>
          <ul className="rows">
            {heat.map((x) => {
              const mine = data.equipment.find((e) => e.kind === x.kind);
              const on = (mine?.count ?? 0) > 0;
              return (
                <li key={x.kind}>
                  <button
                    type="button"
                    className="tick"
                    role="checkbox"
                    aria-checked={on}
                    aria-label={x.name}
                    onClick={() =>
                      void write(
                        [
                          {
                            table: 'equipment',
                            id: mine?.id ?? `gear_${x.kind}`,
                            data: { ...(mine ?? { id: `gear_${x.kind}`, name: x.name, kind: x.kind }), count: on ? 0 : x.count },
                          },
                        ],
                        on ? `No ${x.name.toLowerCase()}` : `${x.name} noted`,
                      )
                    }
                  >
                    {on ? '✓' : ''}
                  </button>
                  <div className="grow">
                    <b>{x.name}</b>
                    <div className="sub">
                      {on && x.of ? `${mine?.count ?? x.count} ${x.of}` : on ? 'labels say how to use it' : 'left out of labels and plans'}
                    </div>
                  </div>
                </li>
              );
            })}
          </ul>
        </section>
        {rest.length > 0 && (
          <section className="card" aria-label="Also here">
            <h2>Also here</h2>
            <ul className="rows">
              {rest.map((e) => (
                <li key={e.id}>
                  <div className="grow">{e.name}</div>
                  <span className="sub">{e.litres ? `${e.litres} L` : ''}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      {editing && <GearForm gear={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </div>
  );
}
