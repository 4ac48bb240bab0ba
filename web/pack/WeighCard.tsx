import { useState } from 'react';
import type { Equipment } from '#core/contract';
import { sayMass, sayVolume } from '#core/kitchen';
import { type BatchView } from '#core/session';
import { useCommands } from '../app/commands.ts';
import { Field } from '../kitchen/fields.tsx';

const grams = (text: string): number | undefined => {
  const n = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(n) && n > 0 ? n : undefined;
};

/** Pot on the scale: gross less the pot's own weight gives what came out; a missing density is asked for once with one tub. */
export function WeighCard({
  b,
  sessionId,
  pots,
  onDone,
}: {
  b: BatchView;
  sessionId: string;
  pots: readonly Equipment[];
  onDone: () => void;
}) {
  const { log } = useCommands();
  const [gross, setGross] = useState('');
  const [potId, setPot] = useState(pots[0]?.id ?? 'none');
  const [tubMl, setTubMl] = useState('430');
  const [tubG, setTubG] = useState('');
  const tare = pots.find((p) => p.id === potId)?.tareG ?? 0;
  const g = grams(gross);
  const net = g === undefined ? undefined : g - tare;
  const known = b.revision.density?.gPerMl;
  const fromTub = grams(tubG) !== undefined && grams(tubMl) !== undefined ? (grams(tubG) ?? 1) / (grams(tubMl) ?? 1) : undefined;
  const density = known ?? fromTub;
  const strange = density !== undefined && (density < 0.2 || density > 1.6);
  const ml = net !== undefined && net > 0 && density !== undefined && !strange ? net / density : undefined;
  const save = async (): Promise<void> => {
    if (g === undefined || net === undefined || ml === undefined) return;
    await log(
      [
        {
          type: 'weighed',
          subjects: [sessionId],
          data: { batchId: b.batch.id, grossG: g, tareG: tare, netG: Math.round(net), volumeMl: Math.round(ml) },
        },
      ],
      `${b.revision.name}: ${sayVolume(Math.round(ml))} came out`,
    );
    onDone();
  };
  return (
    <section className="card" aria-label="Weigh">
      <h2>Weigh the pot</h2>
      <div className="row wrap" style={{ alignItems: 'flex-end', gap: 14 }}>
        <Field label="Pot and food, grams" type="number" width={160} value={gross} onChange={setGross} />
        <div>
          <label className="lab" htmlFor="wp">
            Which pot
          </label>
          <select id="wp" className="field" value={potId} onChange={(e) => setPot(e.currentTarget.value)}>
            {pots.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
                {p.tareG ? `, ${sayMass(p.tareG)} empty` : ', weight not known'}
              </option>
            ))}
            <option value="none">no pot, food alone</option>
          </select>
        </div>
        {known === undefined && (
          <>
            <Field label="One tub filled to its line, ml" type="number" width={190} value={tubMl} onChange={setTubMl} />
            <Field label="its food weighs, grams" type="number" width={160} value={tubG} onChange={setTubG} />
          </>
        )}
        <button type="button" className="btn" disabled={ml === undefined} onClick={() => void save()}>
          Take this
        </button>
      </div>
      <p className="sub" style={{ marginTop: 8, fontSize: 15 }} role="status">
        {net !== undefined && net <= 0
          ? `That is less than the empty pot (${sayMass(tare)}). Check the pot or the figure; it is kept as typed.`
          : strange
            ? 'A litre of food weighs between 200 g and 1.6 kg: check the tub.'
            : ml !== undefined && net !== undefined
              ? `${sayMass(Math.round(net))} of food, ${sayVolume(Math.round(ml))}.`
              : known === undefined
                ? 'Its weight per litre is not known yet: fill one tub to its line and weigh it, once.'
                : `Planned: ${sayVolume(Math.round(b.yield.ml))}. Without weighing, that stands, marked as planned.`}
      </p>
    </section>
  );
}
