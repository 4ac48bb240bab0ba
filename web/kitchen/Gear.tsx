import { useState } from 'react';
import type { Equipment } from '#core/contract';
import { bowlUsable, potUsable } from '#core/recipe';
import type { KitchenAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { GearForm } from './GearForm.tsx';
import { gearKinds, kindOf, type GearKind } from './gearKinds.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';

const heat: readonly { kind: Equipment['kind']; name: string; count: number; of: string }[] = [
  { kind: 'hob', name: 'Hob', count: 4, of: 'burners' },
  { kind: 'oven', name: 'Oven', count: 2, of: 'shelves' },
  { kind: 'microwave', name: 'Microwave', count: 1, of: '' },
];

/** Millimetres to the picture's points; one scale for everything on this shelf. */
const scale = 0.5;

function size(e: Equipment): { w: number; h: number } {
  if (e.diameterMm !== undefined) return { w: e.diameterMm * scale, h: (e.heightMm ?? 120) * scale };
  // a bowl is about as wide as it is high
  const side = Math.cbrt((e.litres ?? 2) * 1e6) * 1.05;
  return { w: side * scale, h: side * scale };
}

function limitShare(e: Equipment): number | undefined {
  const u = e.kind === 'processor' || e.kind === 'blender' ? bowlUsable(e, 'puree') : e.kind === 'pot' ? potUsable(e) : undefined;
  return u && u.ml / u.brimMl;
}

function Drawn({ e, tallest }: { e: Equipment; tallest: number }) {
  const { w, h } = size(e);
  const limit = limitShare(e);
  const bowl = kindOf(e.kind).group === 'bowl';
  const fill = limit === undefined ? h * 0.25 : h * (1 - limit);
  return (
    <svg width={w + 34} height={tallest + 8} viewBox={`0 0 ${w + 34} ${tallest + 8}`} aria-hidden="true">
      <g transform={`translate(17 ${tallest - h + 4})`}>
        <path d={`M1 ${fill}V${h - 6}a6 6 0 0 0 6 6H${w - 7}a6 6 0 0 0 6-6V${fill}Z`} fill="var(--frost)" />
        <path
          d={bowl ? `M0 0L5 ${h - 6}a6 6 0 0 0 6 6H${w - 11}a6 6 0 0 0 6-6L${w} 0` : `M0 0V${h - 6}a6 6 0 0 0 6 6H${w - 6}a6 6 0 0 0 6-6V0`}
          fill="none"
          stroke="var(--rim)"
          strokeWidth="2.200"
        />
        {!bowl && <path d={`M-13 ${h * 0.2}H0M${w} ${h * 0.2}h13`} stroke="var(--rim)" strokeWidth="4" />}
        {limit !== undefined && <path d={`M2 ${fill}H${w - 2}`} stroke="var(--tomato)" strokeDasharray="4 3" strokeWidth="1.600" />}
      </g>
    </svg>
  );
}

function says(e: Equipment, { sayMass }: Measures): string {
  const parts = [
    e.litres ? `${e.litres} L` : '',
    kindOf(e.kind).group === 'vessel' && e.tareG ? `${sayMass(e.tareG)} empty` : '',
    e.watts ? `${e.watts} W` : '',
    e.widthMm && e.depthMm ? `${e.widthMm} x ${e.depthMm} mm` : '',
    e.kg ? `${e.kg} kg` : '',
  ].filter(Boolean);
  return parts.join(', ');
}

function Shelf({ list, onEdit }: { list: readonly Equipment[]; onEdit: (e: Equipment) => void }) {
  const measures = useMeasures();
  const tallest = Math.max(60, ...list.map((e) => size(e).h));
  return (
    <div className="row wrap" style={{ alignItems: 'flex-end', gap: 22 }}>
      {list.map((e) => (
        <div key={e.id} style={{ textAlign: 'center', minWidth: 108 }}>
          <Drawn e={e} tallest={tallest} />
          <div style={{ borderTop: '4px solid var(--kind-bread)', paddingTop: 6 }} className="strong">
            {e.name}
            {e.count > 1 ? `, ${e.count}${e.kind === 'steamer' ? ' tiers' : ''}` : ''}
          </div>
          <div className="sub">{says(e, measures) || 'size not known yet'}</div>
          {e.kind === 'pot' && !e.tareG && (
            <div className="sub" style={{ color: 'var(--saffron)' }}>
              weigh it empty once
            </div>
          )}
          <button type="button" className="link s" onClick={() => onEdit(e)} aria-label={`Change ${e.name}`}>
            change
          </button>
        </div>
      ))}
    </div>
  );
}

function Rows({
  kinds,
  data,
  onEdit,
  onAdd,
}: {
  kinds: readonly GearKind[];
  data: KitchenAnswer;
  onEdit: (e: Equipment) => void;
  onAdd: (k: Equipment['kind']) => void;
}) {
  const measures = useMeasures();
  return (
    <ul className="rows">
      {kinds.flatMap((k) => {
        const mine = data.equipment.filter((e) => e.kind === k.kind && e.count > 0);
        if (mine.length === 0)
          return [
            <li key={k.kind}>
              <span className="grow quiet">{k.name}</span>
              <button type="button" className="link s" onClick={() => onAdd(k.kind)} aria-label={`Add: ${k.name}`}>
                there is one
              </button>
            </li>,
          ];
        return mine.map((e) => (
          <li key={e.id}>
            <div className="grow">
              <b>{e.name}</b>
              {e.count > 1 ? `, ${e.count} ${k.count === 'How many' ? 'of them' : k.count.toLowerCase()}` : ''}
              <div className="sub">{says(e, measures)}</div>
            </div>
            <button type="button" className="link s" onClick={() => onEdit(e)} aria-label={`Change ${e.name}`}>
              change
            </button>
          </li>
        ));
      })}
    </ul>
  );
}

/** What there is to cook with, drawn at one scale, with the quiet bottlenecks beside it. */
export function Gear({ data }: { data: KitchenAnswer }) {
  const measures = useMeasures();
  const { write } = useCommands();
  const [editing, setEditing] = useState<Equipment | Equipment['kind']>();
  const drawn = (group: GearKind['group']): Equipment[] => data.equipment.filter((e) => e.count > 0 && kindOf(e.kind).group === group);
  const vessels = drawn('vessel');
  const bowls = drawn('bowl');
  return (
    <div className="grid twothirds">
      <div className="stack">
        <section className="card" aria-label="Pots">
          <div className="cardhead">
            <h2>Pots, side by side</h2>
            <span className="quiet">the dashed line is how far each is filled</span>
          </div>
          {vessels.length === 0 ? (
            <p className="quiet">No pots yet. Add the ones you cook big batches in.</p>
          ) : (
            <Shelf list={vessels} onEdit={setEditing} />
          )}
          <div style={{ marginTop: 14 }}>
            <button type="button" className="btn o" onClick={() => setEditing('pot')}>
              Add a pot
            </button>
          </div>
        </section>
        <section className="card" aria-label="Bowls and steamer">
          <h2>Bowls and steamer</h2>
          {bowls.length === 0 ? (
            <p className="quiet">Nothing yet. Bowl loads are worked out once a blender or processor is here.</p>
          ) : (
            <Shelf list={bowls} onEdit={setEditing} />
          )}
          <div className="row wrap" style={{ marginTop: 14 }}>
            {(['processor', 'blender', 'steamer'] as const).map((k) => (
              <button key={k} type="button" className="btn o" onClick={() => setEditing(k)}>
                Add a {kindOf(k).name.toLowerCase()}
              </button>
            ))}
          </div>
        </section>
      </div>
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
                            was: mine ?? null,
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
                      {on
                        ? [x.of ? `${mine?.count ?? x.count} ${x.of}` : '', mine ? says(mine, measures) : '', mine?.heat ?? '']
                            .filter(Boolean)
                            .join(', ') || 'labels say how to use it'
                        : 'left out of labels and plans'}
                    </div>
                  </div>
                  {on && mine && (
                    <button type="button" className="link s" onClick={() => setEditing(mine)} aria-label={`Change ${x.name}`}>
                      change
                    </button>
                  )}
                </li>
              );
            })}
          </ul>
        </section>
        <section className="card" aria-label="Trays">
          <h2>Trays and dryers</h2>
          <Rows kinds={gearKinds.filter((k) => k.group === 'tray')} data={data} onEdit={setEditing} onAdd={setEditing} />
        </section>
        <section className="card" aria-label="Also here">
          <h2>Also here</h2>
          <Rows kinds={gearKinds.filter((k) => k.group === 'other')} data={data} onEdit={setEditing} onAdd={setEditing} />
        </section>
      </div>
      {editing !== undefined &&
        (typeof editing === 'string' ? (
          <GearForm gear={undefined} kind={editing} onClose={() => setEditing(undefined)} />
        ) : (
          <GearForm gear={editing} onClose={() => setEditing(undefined)} />
        ))}
    </div>
  );
}
