import { Button, Card, Group, SegmentedControl, Title } from '@mantine/core';
import { useState } from 'react';
import { z } from 'zod';
import { weigh } from '#core/commands';
import type { Equipment, EventData } from '#core/contract';
import { dipped, ladled, sayMeasureError } from '#core/cook';
import { densityIsGuess } from '#core/recipe';
import type { PackedBatch } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { useOnce } from '../ui/useOnce.ts';
import { ScaleReader } from '../devices/ScaleReader.tsx';
import { useHalfMade } from '../form/useHalfMade.ts';
import { Field, numberOf, Pick } from '../form/fields.tsx';
import { useMeasures, type Measures } from '../sync/measures.ts';
import { Said } from '../ui/Said.tsx';

type How = 'scale' | 'ruler' | 'ladle';
const hows: readonly (readonly [How, string])[] = [
  ['scale', 'On the scale'],
  ['ruler', 'With a ruler'],
  ['ladle', 'In ladles'],
];

/** Measured, or in words why not. */
type Measured = { ok: true; data: Omit<EventData<'weighed'>, 'batchId'>; says: string } | { ok: false; says: string; bad: boolean };

const none = (says: string, bad = false): Measured => ({ ok: false, says, bad });
const range = (m: { low: number; high: number }, { sayVolume }: Measures): string =>
  `${sayVolume(Math.round(m.low / 50) * 50)} to ${sayVolume(Math.round(m.high / 50) * 50)}`;

const typedSchema = z.object({
  how: z.enum(['scale', 'ruler', 'ladle']),
  potId: z.string(),
  gross: z.string(),
  tubMl: z.string(),
  tubG: z.string(),
  depth: z.string(),
  ladles: z.string(),
  ladleMl: z.string(),
});
type Typed = z.infer<typeof typedSchema>;

/** A litre of food weighs between these (kitchen estimate): anything else was a slip of the hand. */
const likely = { least: 0.2, most: 1.6 } as const;

/**
 * Pot on the scale: gross less the pot's own weight gives what came out. Where the weight of a litre is only guessed, one filled tub on the scale
 * teaches it; without one the guess stands and says so.
 */
function byScale(t: Typed, pot: Equipment | undefined, known: number, guessed: boolean, { sayMass, sayVolume }: Measures): Measured {
  const g = numberOf(t.gross);
  if (g === undefined)
    return none(
      guessed
        ? 'A litre of it is guessed to weigh ' + sayMass(Math.round(known * 1000)) + '. One tub filled and weighed tells, once and for all.'
        : '',
    );
  const tare = pot?.tareG ?? 0;
  const net = g - tare;
  const [tubG, tubMl] = [numberOf(t.tubG), numberOf(t.tubMl)];
  const tub = tubG && tubMl ? { ml: tubMl, g: tubG } : undefined;
  const density = tub ? tub.g / tub.ml : known;
  if (net <= 0) return none(`That is less than the empty pot (${sayMass(tare)}). Check the pot or the figure; it is kept as typed.`, true);
  if (density < likely.least || density > likely.most) return none('A litre of food weighs between 200 g and 1.6 kg: check the tub.', true);
  const ml = net / density;
  return {
    ok: true,
    data: { grossG: g, tareG: tare, netG: net, volumeMl: Number(ml.toFixed(1)), gPerMl: Number(density.toFixed(4)), ...(tub && { tub }) },
    says: `${sayMass(Math.round(net))} of food, ${guessed && !tub ? 'about ' : ''}${sayVolume(Math.round(ml))}.`,
  };
}

function byVolume(how: 'ruler' | 'ladle', t: Typed, pot: Equipment | undefined, known: number, measures: Measures): Measured {
  const typed = how === 'ruler' ? t.depth : t.ladles;
  if (typed.trim() === '')
    return none(
      how === 'ruler'
        ? 'Stand the ruler upright on the bottom and read where the food ends.'
        : 'Count full ladles into the tubs; halves and quarters count.',
    );
  const n = numberOf(typed) ?? 0;
  const r = how === 'ruler' ? dipped({ depthMm: n, pot: pot ?? {} }) : ladled({ ladles: n, ladleMl: numberOf(t.ladleMl) ?? 0 });
  if (!r.ok) return none(sayMeasureError(r.why), true);
  const ml = Math.round(r.measured.ml / 10) * 10;
  return {
    ok: true,
    data: { volumeMl: ml, by: how, gPerMl: known },
    says: `About ${measures.sayVolume(ml)}, ${range(r.measured, measures)} by how well it was read.`,
  };
}

/** What came out: weighed, dipped with a ruler, or ladled, for pots too heavy for a kitchen scale. */
export function WeighCard({
  b,
  sessionId,
  pots,
  onDone,
}: {
  b: PackedBatch;
  sessionId: string;
  pots: readonly Equipment[];
  onDone: () => void;
}) {
  const measures = useMeasures();
  const { sayMass, sayVolume } = measures;
  const { log } = useCommands();
  const [reading, setReading] = useState(false);
  const [initial] = useState<Typed>({
    how: 'scale',
    potId: pots[0]?.id ?? 'none',
    gross: '',
    tubMl: '430',
    tubG: '',
    depth: '',
    ladles: '',
    ladleMl: '',
  });
  const [t, setT, half] = useHalfMade({
    key: `weigh ${b.batch.id}`,
    name: `What came out: ${b.revision.name}`,
    path: `/pack/${sessionId}?dish=${b.batch.id}`,
    initial,
    schema: typedSchema,
  });
  const { how, potId } = t;
  const set = (key: keyof Typed) => (value: string) => setT({ ...t, [key]: value }, key);
  const pot = pots.find((p) => p.id === potId);
  const known = b.revision.density?.gPerMl;
  const guessed = densityIsGuess(b.revision.density);
  const m = how === 'scale' ? byScale(t, pot, known ?? 1, guessed, measures) : byVolume(how, t, pot, known ?? 1, measures);
  const { busy, once } = useOnce();
  const save = async (): Promise<void> => {
    if (!m.ok) return;
    await log(
      [weigh({ sessionId, batchId: b.batch.id, seen: b.seen }, m.data)],
      `${b.revision.name}: ${sayVolume(Math.round(m.data.volumeMl))} came out`,
    );
    half?.drop();
    onDone();
  };
  return (
    <Card aria-label="Weigh">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>What came out?</Title>
        <SegmentedControl
          aria-label="How it is measured"
          value={how}
          onChange={set('how')}
          data={hows.map(([value, label]) => ({ value, label }))}
        />
      </Group>
      <Group align="flex-end" gap={14}>
        {how === 'scale' && <Field label="Pot and food, grams" figure width={160} value={t.gross} onChange={set('gross')} />}
        {how === 'ruler' && <Field label="Depth of the food, mm" figure width={170} value={t.depth} onChange={set('depth')} />}
        {how === 'ladle' && (
          <>
            <Field label="Ladles" figure width={100} value={t.ladles} onChange={set('ladles')} />
            <Field label="One ladle holds, ml" figure width={160} value={t.ladleMl} onChange={set('ladleMl')} />
          </>
        )}
        {how !== 'ladle' && (
          <Pick
            label="Which pot"
            value={potId}
            options={[
              ...pots.map(
                (p) =>
                  [
                    p.id,
                    how === 'scale'
                      ? `${p.name}${p.tareG ? `, ${sayMass(p.tareG)} empty` : ', weight not known'}`
                      : `${p.name}${p.diameterMm ? `, ${p.diameterMm} mm across` : ', width not known'}`,
                  ] as const,
              ),
              ...(how === 'scale' ? ([['none', 'no pot, food alone']] as const) : []),
            ]}
            onChange={set('potId')}
          />
        )}
        {how === 'scale' && guessed && (
          <>
            <Field label="One tub filled to its line, ml" figure width={190} value={t.tubMl} onChange={set('tubMl')} />
            <Field label="its food weighs, grams" figure width={160} value={t.tubG} onChange={set('tubG')} />
          </>
        )}
        {how === 'scale' && (
          <Button variant="outline" aria-expanded={reading} onClick={() => setReading(!reading)}>
            Read the scale
          </Button>
        )}
        <Button disabled={busy || !m.ok} onClick={() => once(save)}>
          Take this
        </Button>
      </Group>
      {how === 'scale' && reading && <ScaleReader onTake={(g) => set('gross')(String(g))} takes="Into the field" />}
      <Said bad={!m.ok && m.bad}>
        {m.says || `Planned: ${sayVolume(Math.round(b.yield.ml))}. Without measuring, that stands, marked as planned.`}
      </Said>
    </Card>
  );
}
