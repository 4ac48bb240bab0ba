import { Anchor, Badge, Card, Table, Text, Title, VisuallyHidden } from '@mantine/core';
import { memo, useState } from 'react';
import { Answered } from './Answered.tsx';
import { Link } from 'react-router';
import c from './Recipe.module.css';
import { lineAsked } from './lineAsked.ts';
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
  const weighed = l.massG !== undefined && l.exact && ['piece', 'count'].includes(unitFacts[l.exact.unit].dimension) && l.massG >= 1;
  return (
    <Table.Tr bg={limits ? 'var(--saffron-pale)' : undefined}>
      <Table.Td>
        <b>{capital(l.line.name)}</b>
        {l.line.form && l.line.form !== 'whole' && !l.line.name.includes(l.line.form) && (
          <Text span inherit c="dimmed">
            , {l.line.form}
            {cut ? ` ${cut} mm` : ''}
          </Text>
        )}{' '}
        {rule !== 'proportional' && <Badge color="rim">{sayRule[rule]}</Badge>}
        {limits && <Badge color="saffron">sets the size</Badge>}
        {l.line.item.type === 'unmatched' &&
          (l.line.allergens ? <Answered contains={l.line.allergens.contains} /> : <Badge color="saffron">not known here</Badge>)}
        {l.line.item.type === 'recipe' && (
          <Anchor component={Link} size="xs" to={`/recipes/${l.line.item.id}`}>
            from your own
          </Anchor>
        )}
        {noteOf(l) && (
          <Text component="div" size="xs" c="dimmed">
            {noteOf(l)}
          </Text>
        )}
      </Table.Td>
      <Table.Td className={c.out}>
        {split ? (
          <>
            {split}
            <Text component="div" size="xs" c="dimmed">
              for what stays; {out} in all
            </Text>
          </>
        ) : (
          out || 'as you like'
        )}
        {l.upTo && (
          <Text component="div" size="xs" c="dimmed">
            {l.line.scaling.rule === 'toTaste' ? 'then taste, up to' : 'up to'} {sayPortions(Math.round(toNumber(l.upTo.amount) * 4) / 4)}{' '}
            {unitFacts[l.upTo.unit].short}
          </Text>
        )}
        {tins && (
          <Text component="div" size="xs" c="dimmed">
            {tins}
          </Text>
        )}
        {weighed && (
          <Text component="div" size="xs" c="dimmed">
            {sayMass(Math.round(l.massG ?? 0))}
          </Text>
        )}
      </Table.Td>
      {also !== '' && (
        <Table.Td className={c.out} data-also>
          {also}
        </Table.Td>
      )}
      <Table.Td ta="right">
        <Anchor
          component="button"
          type="button"
          data-why
          size="xs"

          aria-expanded={open}
          aria-label={`Why: ${l.line.name}, ${out}`}
          onClick={() => onToggle(l.lineId)}
        >
          why?
        </Anchor>
      </Table.Td>
    </Table.Tr>
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
  const [open, setOpen] = useState(lineAsked);
  const [toggle] = useState(() => (id: string) => setOpen((was) => (was === id ? undefined : id)));
  if (lines.length === 0 && !none) return null;
  const both = s.draft.shown === 'both';
  const second: UnitSystem = data.household.units === 'us' ? 'metric' : 'us';
  const split = s.split?.ok ? s.split.split : undefined;
  return (
    <Card aria-label={title}>
      <Title order={2}>{title}</Title>
      {lines.length === 0 ? (
        <Text inherit c="dimmed">
          {none}
        </Text>
      ) : (
        <Table layout="fixed">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Ingredient</Table.Th>
              <Table.Th ta="right" w={168}>
                measure out
              </Table.Th>
              {both && (
                <Table.Th ta="right" w={150}>
                  {second === 'us' ? 'or in cups' : 'or in grams'}
                </Table.Th>
              )}
              <Table.Th ta="right" w={54}>
                <VisuallyHidden>why</VisuallyHidden>
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
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
                  <Table.Tr key={`${l.lineId}-why`} bg="var(--pale)">
                    <Table.Td colSpan={both ? 4 : 3} p={12}>
                      <LineDetail data={data} s={s} l={l} />
                    </Table.Td>
                  </Table.Tr>
                ),
              ];
            })}
          </Table.Tbody>
        </Table>
      )}
      {none !== undefined && <AddLine data={data} />}
    </Card>
  );
}
