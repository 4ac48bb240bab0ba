import { Anchor, Button, Group, NativeSelect, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { lineAsked } from './lineAsked.ts';
import type { Line, Revision, ScalingRule } from '#core/contract';
import { sayPortions, toNumber, unitFacts } from '#core/kitchen';
import { cutSize, sayWhy, standIn, swapByWeight, type ScaledLine } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Figure } from '../ui/ui.tsx';
import { EditLine } from './EditLines.tsx';
import { numberIn } from './target.ts';
import { useRevise } from './useRevise.ts';
import type { Scaling } from './useScaling.ts';
import { useMeasures } from '../sync/measures.ts';

const exactText = (l: ScaledLine): string =>
  l.exact
    ? `${toNumber(l.exact.amount).toLocaleString('en-GB', { maximumFractionDigits: 3 })} ${unitFacts[l.exact.unit].short}`.trim()
    : 'no amount written';

const rules: readonly ScalingRule['rule'][] = ['proportional', 'whole', 'toTaste', 'ratio', 'perVessel', 'cover', 'fixed'];
const ruleWords: Readonly<Record<ScalingRule['rule'], string>> = {
  proportional: 'in proportion',
  whole: 'in whole pieces',
  toTaste: 'to taste',
  ratio: 'as a share of the weighed rest',
  perVessel: 'once for each pan or jar filled',
  cover: 'to cover what is in the pot',
  fixed: 'the same in each pot',
};

/** A rule with what it needs to begin with. */
function ruleFor(rule: ScalingRule['rule'], line: Line, revision: Revision, percent: number): ScalingRule {
  if (rule !== 'ratio') return { rule };
  return {
    rule,
    percent,
    of: 'rest',
    lines: revision.lines.filter((l) => l.id !== line.id && l.moment === 'batch' && l.scaling.rule !== 'ratio').map((l) => l.id),
  };
}

/** The share that a line has now, to begin a ratio with. */
function percentNow(l: ScaledLine, s: Scaling): number {
  const rest =
    s.scaled?.lines.filter((x) => x.lineId !== l.lineId && x.line.moment === 'batch').reduce((sum, x) => sum + (x.massG ?? 0), 0) ?? 0;
  return rest > 0 && l.massG ? Math.min(99, Number(((l.massG / rest) * 100).toFixed(2))) : 1;
}

/** Mine are smaller: the written weight in one's own pieces. */
function OwnPieces({ l }: { l: ScaledLine }) {
  const { sayMass } = useMeasures();
  const [each, setEach] = useState('');
  const g = numberIn(each);
  const asked = l.massG ?? 0;
  const swap = g > 0 && asked > 0 ? swapByWeight(asked, g) : undefined;
  return (
    <Group component="label" gap={8}>
      <span>One of mine weighs</span>
      <Figure label="Weight of one of mine, grams" value={each} onChange={setEach} width={80} />
      <span>g</span>
      {swap && (
        <b role="status">
          take {swap.pieces}, {sayMass(Number(swap.massG.toFixed(1)))}
          {Math.abs(swap.overG) >= 0.5 ? ` (${sayMass(Math.abs(Math.round(swap.overG)))} ${swap.overG > 0 ? 'over' : 'under'})` : ''}
        </b>
      )}
      {each.trim() !== '' && !swap && (
        <Text span size="xs" c="dimmed">
          a weight above 0, in grams
        </Text>
      )}
    </Group>
  );
}

/** A line opened up: the exact amount and how far the measure is off, how it grows, one's own pieces, a concentrate instead. */
export function LineDetail({ data, s, l }: { data: RecipeAnswer; s: Scaling; l: ScaledLine }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const { line } = l;
  const row = s.facts.get(l.lineId)?.row;
  const rule = line.scaling.rule;
  const [editing, setEditing] = useState(() => lineAsked() === line.id);
  const setRule = (next: ScalingRule): void => {
    const made = revise((r) => ({ ...r, lines: r.lines.map((x) => (x.id === line.id ? { ...x, scaling: next } : x)) }));
    void write(made, `${line.name} grows ${ruleWords[next.rule]} now`);
  };
  const pieces =
    line.unit && ['piece', 'count'].includes(unitFacts[line.unit].dimension) && line.amount !== undefined && l.exact
      ? toNumber(l.exact.amount)
      : undefined;
  const inPlace = data.doses.filter((d) => d.dose.insteadOf && row && d.dose.insteadOf.ingredientId === row.id);
  return (
    <Stack gap={10}>
      <Text size="sm">
        Exactly <b>{exactText(l)}</b>
        {Math.abs(l.error) >= 0.0005 ? `, so this is ${l.error > 0 ? '+' : '−'}${Math.abs(l.error * 100).toFixed(1)} %` : ''}.{' '}
        {[...l.because, ...(line.sizeMm && row?.texture === 'stringy' ? cutSize(line.sizeMm, row).because : [])]
          .map(sayWhy)
          .filter(Boolean)
          .join('; ')}
        . Written: “{line.written || line.name}”.
      </Text>
      {line.item.type !== 'recipe' && l.massG !== undefined && l.massG > 0 && row?.pieceG !== undefined && <OwnPieces l={l} />}
      {pieces !== undefined &&
        inPlace.map((d) => (
          <p key={d.recipeId}>
            Or {sayPortions(standIn(pieces, { amount: d.dose.amount, count: d.dose.insteadOf?.count ?? 1 }))} {d.dose.unit} of your{' '}
            {d.name.toLowerCase()}: {sayPortions(d.dose.amount)} {d.dose.unit} stands in for {d.dose.insteadOf?.count}
            {d.dose.noSalt ? ', and brings its salt' : ''}.
          </p>
        ))}
      <Group gap={10}>
        <Group wrap="nowrap" component="label" gap={8}>
          <span>It grows</span>
          <NativeSelect
            value={rule}
            onChange={(e) => setRule(ruleFor(e.currentTarget.value as ScalingRule['rule'], line, data.revision, percentNow(l, s)))}
          >
            {rules.map((r) => (
              <option key={r} value={r}>
                {ruleWords[r]}
                {r === 'toTaste' ? ': start lower, taste, stop at the upper amount' : ''}
              </option>
            ))}
          </NativeSelect>
        </Group>
        {line.scaling.rule === 'ratio' && <RatioFields rule={line.scaling} onChange={setRule} />}
      </Group>
      {editing ? (
        <EditLine data={data} line={line} onDone={() => setEditing(false)} />
      ) : (
        <div>
          <Anchor component="button" type="button" onClick={() => setEditing(true)}>
            change this line
          </Anchor>
        </div>
      )}
    </Stack>
  );
}

function RatioFields({ rule, onChange }: { rule: Extract<ScalingRule, { rule: 'ratio' }>; onChange: (r: ScalingRule) => void }) {
  const [text, setText] = useState(String(rule.percent));
  const n = numberIn(text);
  const bad = !(n > 0 && n <= 99);
  return (
    <Group gap={8}>
      <Figure label="Percent" value={text} onChange={setText} width={80} bad={bad} />
      <span>% of</span>
      <NativeSelect
        aria-label="Percent of what"
        value={rule.of}
        onChange={(e) => onChange({ ...rule, of: e.currentTarget.value as 'rest' | 'total' })}
      >
        <option value="rest">the rest</option>
        <option value="total">the whole, itself included</option>
      </NativeSelect>
      <Button variant="outline" size="sm" disabled={bad || n === rule.percent} onClick={() => onChange({ ...rule, percent: n })}>
        Keep
      </Button>
      {bad && (
        <Text span size="xs" c="dimmed">
          more than 0 and at most 99 %; the last good one is kept
        </Text>
      )}
    </Group>
  );
}
