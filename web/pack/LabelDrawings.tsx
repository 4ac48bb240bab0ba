import { listOf } from '#core/kitchen';
import type { LabelResult } from '#core/pack';
import { LabelDrawing } from '../draw/LabelDrawing.tsx';

/** The labels of one pack as they are printed: one, or two where what may never be left out needs them; signs that cannot be printed are named. */
export function LabelDrawings({ result }: { result: LabelResult }) {
  if (!result.ok) return <p className="note bad">{result.needed}</p>;
  return (
    <>
      {result.labels.map((label, i) => (
        <LabelDrawing key={i} label={label} width="100%" />
      ))}
      {result.labels.length > 1 && (
        <p className="sub">Two labels for this pack: what may never be left out does not fit on one. Stick both on.</p>
      )}
      {result.missing.length > 0 && (
        <p className="note warn">The label’s type has no {listOf(result.missing.map((m) => `“${m}”`))}: left out. Write it otherwise.</p>
      )}
    </>
  );
}
