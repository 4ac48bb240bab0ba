import { Box, Button, Card, Group, Radio, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { eatTonight, fillPack, type Act } from '#core/commands';
import { intentId } from '#core/contract';
import { countOf, listOf, quarterDown, sayPortions } from '#core/kitchen';
import type { PackGroup } from '#core/pack';
import { cautionsFor } from '#core/safety';
import { filledData, labelContent, packTexts, unsaltedPacks } from '#core/session';
import type { PackedBatch, SessionParts } from '#core/queries';
import { useFrameQuery, useKitchenQuery } from '../sync/api.ts';
import { takeCodes, useNextCode } from '../sync/codes.ts';
import { useCommands } from '../sync/commands.ts';
import { useOnce } from '../ui/useOnce.ts';
import { Cautions } from '../ui/ui.tsx';
import { FillView } from '../draw/FillView.tsx';
import { LabelDrawings } from './LabelDrawings.tsx';
import { previewOf } from './usePreview.ts';
import { WeighCard } from './WeighCard.tsx';
import { MixRows } from './MixRows.tsx';
import { optionsFor, sayResult } from './options.ts';
import { ownMix, type MixRow } from './ownMix.ts';
import { useMeasures } from '../sync/measures.ts';
import { Note } from '../ui/Note.tsx';
import { Columns } from '../ui/Columns.tsx';

/** Weighing, the choice of containers, how high to fill them and their label; `onFilled` keeps the page on this dish. */
export function Filling({ b, view, onFilled }: { b: PackedBatch; view: SessionParts['pack']; onFilled: () => void }) {
  const { sayVolume } = useMeasures();
  const kitchen = useKitchenQuery().data;
  const frame = useFrameQuery().data;
  const { log } = useCommands();
  const nextCode = useNextCode(frame?.storeId, b.packs.length);
  const [chosen, setChosen] = useState('plan');
  const [mix, setMix] = useState<readonly MixRow[]>([{ containerId: '', packs: '1', each: '1' }]);
  const [problem, setProblem] = useState<string>();
  const [weighing, setWeighing] = useState(b.yield.how === 'planned');
  const { busy, once } = useOnce();
  const frees = useMemo(() => (kitchen?.containers ?? []).map((c) => ({ container: c.container, free: c.free })), [kitchen]);
  if (!kitchen || !frame) return null;
  const options = optionsFor(b, view, frees, frame.household.groupSizes);
  const own = ownMix(mix, {
    containers: kitchen.containers.map((c) => c.container),
    portionMl: b.yield.portionMl,
    toPackMl: b.toPackMl,
    bags: b.revision.cubeMl !== undefined,
  });
  const option = chosen === 'own' ? undefined : (options.find((o) => o.id === chosen) ?? options[0]);
  const choice = chosen === 'own' ? (own.ok ? own.choice : undefined) : option?.result.ok ? option.result.choice : undefined;
  const noSalt = choice && b.batch.unsalted ? unsaltedPacks(choice.groups, b.batch.unsalted) : undefined;
  const pots = kitchen.equipment.filter((e) => (e.kind === 'pot' || e.kind === 'pan') && e.tareG !== undefined);
  const plan = {
    revision: b.revision,
    batchId: b.batch.id,
    sessionId: view.session.id,
    lot: b.lot,
    day: view.session.day,
    densityGPerMl: b.yield.densityGPerMl,
    figures: b.heat.figures,
    scaleStepG: frame.household.scaleStepG,
  };
  const textsFor = (g: PackGroup) =>
    packTexts(b.heat, { massG: g.mlEach * b.yield.densityGPerMl, volumeMl: g.mlEach, portions: g.portionsEach }, g.container, {
      equipment: kitchen.equipment,
    });
  const before = b.packs.length;
  const first = choice?.groups[0];
  const sample =
    first &&
    filledData(
      plan,
      {
        code: nextCode ?? '-----',
        container: first.container,
        portions: first.portionsEach,
        ml: first.mlEach,
        n: before + 1,
        of: before + choice.packs,
        unsalted: (noSalt?.packs[0] ?? 0) > 0,
      },
      textsFor(first),
    );
  const allergenNames = new Map(Object.entries(kitchen.allergenNames));
  const drawn =
    sample?.ok && first
      ? previewOf(labelContent({ packId: 'sample', ...sample.data }, allergenNames, textsFor(first)), frame.household.address ?? '')
      : undefined;
  const fill = async (): Promise<void> => {
    if (!choice) return;
    const codes = await takeCodes(frame.storeId, choice.packs, nextCode);
    if (!codes) {
      setProblem('No codes are left on this device and Tambo does not answer. Nothing was changed; try again when it is back.');
      return;
    }
    const acts: Act[] = [];
    let n = 0;
    for (const [k, g] of choice.groups.entries()) {
      for (let i = 0; i < g.packs; i += 1) {
        n += 1;
        const made = filledData(
          plan,
          {
            code: codes[n - 1] ?? '',
            container: g.container,
            portions: g.portionsEach,
            ml: g.mlEach,
            n: before + n,
            of: before + choice.packs,
            unsalted: i < (noSalt?.packs[k] ?? 0),
          },
          textsFor(g),
        );
        if (!made.ok) {
          setProblem(`Not packed: ${made.why}. Nothing was changed.`);
          return;
        }
        acts.push(fillPack({ packId: intentId(b.seen, 'pack', String(n)), seen: b.seen }, made.data));
      }
    }
    if (choice.tonightMl >= 20)
      acts.push(eatTonight({ sessionId: view.session.id, batchId: b.batch.id, seen: b.seen }, frame.today, Math.round(choice.tonightMl)));
    setProblem(undefined);
    onFilled();
    await log(acts, `${b.revision.name}: ${countOf(choice.packs, 'pack')} filled`);
  };
  return (
    <>
      {weighing ? <WeighCard key={b.batch.id} b={b} sessionId={view.session.id} pots={pots} onDone={() => setWeighing(false)} /> : null}
      <Radio.Group value={chosen === 'own' ? 'own' : (option?.id ?? null)} onChange={setChosen} aria-label="How to pack it">
        <Group my={14} gap={10} align="stretch">
          {options.map((o) => (
            <Radio.Card key={o.id} value={o.id} aria-label={o.name} flex={1} miw={220} px={12} py={9}>
              <b>{o.name}</b>
              <Text c="dimmed" fz={15}>
                {sayResult(o.result, b.revision.kind)}
              </Text>
              {o.result.ok && o.result.choice.tonightMl >= 20 && (
                <Box fz={15}>{sayVolume(Math.round(o.result.choice.tonightMl))} for tonight</Box>
              )}
            </Radio.Card>
          ))}
          <Radio.Card value="own" aria-label="An own mix" flex={1} miw={220} px={12} py={9}>
            <b>An own mix</b>
            <Text c="dimmed" fz={15}>
              some singles, some for the family, what is at hand
            </Text>
          </Radio.Card>
        </Group>
      </Radio.Group>
      {chosen === 'own' && (
        <Card aria-label="An own mix" mb={14}>
          <MixRows rows={mix} kind={b.revision.kind} containers={kitchen.containers.map((c) => c.container)} onChange={setMix} />
          <Text role="status" mt={8} c={own.ok ? 'dimmed' : 'var(--tomato)'}>
            {own.ok
              ? `${sayPortions(own.choice.portionsPacked)} of ${sayPortions(quarterDown(b.toPackMl / b.yield.portionMl))} packed${own.choice.portionsLeft > 0 ? `; ${sayPortions(own.choice.portionsLeft)} can be packed after` : ''}`
              : own.why}
          </Text>
        </Card>
      )}
      {problem && (
        <Note tone="bad" mb={14} role="alert">
          {problem}
        </Note>
      )}
      <Columns parts={[1.6, '420px']} align="start">
        <Card aria-label="Fill">
          <Group justify="space-between" align="baseline" mb={8}>
            <Title order={2}>
              {b.cubes
                ? `${b.cubes.cubes} cubes in ${countOf(b.cubes.rounds, 'round')} of ${b.cubes.cellsPerRound}, then into bags`
                : 'Fill to the red line'}
            </Title>
            <Text span inherit c="dimmed">
              drawn to scale
            </Text>
          </Group>
          {choice && choice.groups.length > 0 ? (
            <FillView
              groups={choice.groups}
              kind={b.revision.kind}
              densityGPerMl={b.yield.densityGPerMl}
              cubes={b.revision.cubeMl !== undefined}
              figures={b.heat.figures}
            />
          ) : (
            <Note tone="warn">
              {option ? sayResult(option.result, b.revision.kind) : own.ok ? '' : own.why}
              {option ? '.' : ''}{' '}
              {option && !option.result.ok && option.result.why === 'nothingFree' ? (
                <>
                  Wash up the empties in <Link to="/kitchen?tab=containers">Kitchen</Link>, or add what you have.
                </>
              ) : null}
            </Note>
          )}
          {noSalt && choice && (
            <Note mt={12}>
              First the {sayPortions(b.batch.unsalted ?? 0)} without salt:{' '}
              {listOf(choice.groups.flatMap((g, k) => ((noSalt.packs[k] ?? 0) > 0 ? [`${noSalt.packs[k]} × ${g.container.name}`] : []))) ||
                'no whole pack'}
              , labelled so.
              {noSalt.left > 0
                ? ` ${sayPortions(noSalt.left)} more ${noSalt.left === 1 ? 'fills' : 'fill'} no whole pack: tonight’s, or choose singles.`
                : ''}
            </Note>
          )}
          {choice && (
            <Group wrap="nowrap" mt={16}>
              <Button size="lg" disabled={busy || choice.packs === 0} onClick={() => once(fill)}>
                Filled: {countOf(choice.packs, 'pack')}
              </Button>
              {!weighing && (
                <Button variant="outline" size="lg" onClick={() => setWeighing(true)}>
                  Weigh again
                </Button>
              )}
            </Group>
          )}
        </Card>
        <Stack>
          <Card aria-label="The label">
            <Group justify="space-between" align="baseline" mb={8}>
              <Title order={2}>The label</Title>
              <Text span inherit c="dimmed">
                63.5 x 38.1 mm
              </Text>
            </Group>
            {drawn ? (
              <LabelDrawings result={drawn} />
            ) : (
              <Note tone="bad">{sample && !sample.ok ? `No label: ${sample.why}.` : 'Choose how to pack it first.'}</Note>
            )}
            {drawn?.ok && drawn.moved.length > 0 && (
              <Text size="xs" c="dimmed" mt={8}>
                Goes to the session sheet: {drawn.moved.map((m) => `${m.head.toLowerCase()}: ${m.text}`).join(' ')}
              </Text>
            )}
            {b.heat.guess && (
              <Text size="xs" c="dimmed" mt={8}>
                Heated as “{b.heat.rows[0]?.many ?? b.heat.classId}” is a guess.{' '}
                <Link to={`/recipes/${b.revision.recipeId}#reheating`}>Confirm or change it</Link>
              </Text>
            )}
            {b.lot.life.ok && (
              <Text size="xs" c="dimmed" mt={8}>
                Keeps {countOf(b.lot.life.life.months, 'month')}{' '}
                {b.lot.life.life.part === b.revision.name ? '' : `because of the ${b.lot.life.life.part} `}({b.lot.life.life.source}).
              </Text>
            )}
          </Card>
          <Cautions
            list={cautionsFor(b.revision.kind === 'puree' ? ['cooling', 'baby'] : ['cooling'], frame.household.country, frame.figures)}
            title="Before it goes in"
          />
        </Stack>
      </Columns>
    </>
  );
}
