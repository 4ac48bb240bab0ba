import { memo, useState } from 'react';
import { Answered } from './Answered.tsx';
import { Link } from 'react-router';
import { capital, sayPortions, toNumber, unitFacts, type UnitSystem } from '#core/kitchen';
import { cutSize, measureLine, piecesFor, sayRule, type LineFacts, type ScaledLine } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { AddLine } from './EditLines.tsx';
import { LineDetail } from './LineDetail.tsx';
import type { Scaling } from './useScaling.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';

/** What a note says beyond the form that already stands there. */
const noteOf = (l: ScaledLine): string =>
  (l.line.note ?? '')
    .split('; ')
    .filter((n) => n !== l.line.form && !/^cut into|^\d+ of /.test(n))
    .join('; ');

/** Tins and packs that a weight is poured from, with what is over of the last. */
function tinsOf(l: ScaledLine, row: LineFacts['row'], { sayMass }: Measures): string | undefined {
  if (row?.aisle !== 'tins_jars' || !row.pieceG || !l.massG || row.pieceName !== 'tin') return undefined;
  const inTin = (row.pieceG * (row.ediblePct ?? 100)) / 100;
  const p = piecesFor(l.massG, inTin);
  return `${p.pieces} ${p.pieces === 1 ? 'tin' : 'tins'}${p.overG >= 5 ? `, ${sayMass(Math.round(p.overG / 5) * 5)} over` : ''}`;
}

interface RowProps {
  l: ScaledLine;
  tins: string | undefined;
  /** Millimetres to cut to. */
  cut: number | undefined;
  out: string;
  also: string;
  split: string | undefined;
  limits: boolean;
  open: boolean;
  onToggle: (id: string) => void;
}

/** One line: what to measure out is loud, the rest is a tap away. */
const AmountRow = memo(function AmountRow({ l, tins, cut, out, also, split, limits, open, onToggle }: RowProps) {
  const { sayMass } = useMeasures();
  const rule = l.line.scaling.rule;
  const weighed = l.massG !== undefined && l.exact && unitFacts[l.exact.unit].dimension === 'piece' && l.massG >= 1;
  return (
    <tr className={limits ? 'limits' : undefined}>
      <td>
        <b>{capital(l.line.name)}</b>
        {l.line.form && l.line.form !== 'whole' && !l.line.name.includes(l.line.form) && (
          <span className="quiet">
            , {l.line.form}
            {cut ? ` ${cut} mm` : ''}
          </span>
        )}{' '}
        {rule !== 'proportional' && <span className="tag f">{sayRule[rule]}</span>}
        {limits && <span className="tag s">sets the size</span>}
        {l.line.item.type === 'unmatched' &&
          (l.line.allergens ? <Answered contains={l.line.allergens.contains} /> : <span className="tag s">not known here</span>)}
        {l.line.item.type === 'recipe' && (
          <Link className="sub" to={`/recipes/${l.line.item.id}`}>
            from your own
          </Link>
        )}
        {noteOf(l) && <div className="sub">{noteOf(l)}</div>}
      </td>
      <td className="num out">
        {split ? (
          <>
            {split}
            <div className="sub">for what stays; {out} in all</div>
          </>
        ) : (
          out || 'as you like'
        )}
        {l.upTo && (
          <div className="sub">
            then taste, up to {sayPortions(Math.round(toNumber(l.upTo.amount) * 4) / 4)} {unitFacts[l.upTo.unit].short}
          </div>
        )}
        {tins && <div className="sub">{tins}</div>}
        {weighed && <div className="sub">{sayMass(Math.round(l.massG ?? 0))}</div>}
      </td>
      {also !== '' && <td className="num out quiet">{also}</td>}
      <td className="num">
        <button
          type="button"
          className="why"
          aria-expanded={open}
          aria-label={`Why: ${l.line.name}, ${out}`}
          onClick={() => onToggle(l.lineId)}
        >
          why?
        </button>
      </td>
    </tr>
  );
});

/** The amounts of a recipe at its size, in one or two systems of measures. */
export function Amounts({
  data,
  s,
  lines,
  title,
  none,
}: {
  data: RecipeAnswer;
  s: Scaling;
  lines: readonly ScaledLine[];
  title: string;
  none?: string;
}) {
  const measures = useMeasures();
  const [open, setOpen] = useState<string>();
  const [toggle] = useState(() => (id: string) => setOpen((was) => (was === id ? undefined : id)));
  if (lines.length === 0 && !none) return null;
  const both = s.draft.shown === 'both';
  const second: UnitSystem = data.household.units === 'us' ? 'metric' : 'us';
  const split = s.split?.ok ? s.split.split : undefined;
  return (
    <section className="card" aria-label={title}>
      <h2>{title}</h2>
      {lines.length === 0 ? (
        <p className="quiet">{none}</p>
      ) : (
        <table className="plain amounts">
          <thead>
            <tr>
              <th>Ingredient</th>
              <th className="num">measure out</th>
              {both && <th className="num">{second === 'us' ? 'or in cups' : 'or in grams'}</th>}
              <th className="num">
                <span className="sr">why</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((l) => {
              const fact = s.facts.get(l.lineId);
              const also = both && fact ? (measureLine(l, fact, data.household.scaleStepG, second)?.text ?? '–') : '';
              return [
                <AmountRow
                  key={l.lineId}
                  l={l}
                  tins={tinsOf(l, fact?.row, measures)}
                  cut={l.line.sizeMm && cutSize(l.line.sizeMm, fact?.row).mm}
                  out={l.out}
                  also={also}
                  split={split?.salt.find((x) => x.lineId === l.lineId)?.out}
                  limits={s.scaled?.limit?.type === 'line' && s.scaled.limit.id === l.lineId}
                  open={open === l.lineId}
                  onToggle={toggle}
                />,
                open === l.lineId && (
                  <tr key={`${l.lineId}-why`} className="detail">
                    <td colSpan={both ? 4 : 3}>
                      <LineDetail data={data} s={s} l={l} />
                    </td>
                  </tr>
                ),
              ];
            })}
          </tbody>
        </table>
      )}
      {none !== undefined && <AddLine data={data} />}
    </section>
  );
}
