import { Anchor, Button, Card, Group, NativeSelect, SegmentedControl, Stack, Text, TextInput, VisuallyHidden } from '@mantine/core';
import { useState } from 'react';
import { unitFacts, sayPortions } from '#core/kitchen';
import type { Unit } from '#core/contract';
import { sayTargetError, type TargetError } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { Stepper } from '../ui/ui.tsx';
import type { Typing } from './useScaling.ts';
import { askedBy, haveUnit, numberIn, vesselsFor, waysFor, type Shown, type Way } from './target.ts';
import { Note } from '../ui/Note.tsx';
import c from './ScaleBar.module.css';

const wayNames: Readonly<Record<Way, string>> = {
  portions: 'Portions',
  eaters: 'Who eats it',
  litres: 'Litres',
  grams: 'Grams',
  have: 'What I have',
  vessel: 'What fills a pot',
  cubes: 'Cubes',
};

const shownNames: readonly (readonly [Shown, string])[] = [
  ['metric', 'grams'],
  ['both', 'both'],
  ['us', 'cups'],
  ['uk', 'lb and pints'],
];

/** Units a cook may have something in. */
const haveUnits: readonly Unit[] = ['kg', 'g', 'l', 'ml', 'lb', 'oz', 'cup', 'tbsp', 'tsp', 'piece'];

function BigNumber({
  label,
  value,
  unit,
  onChange,
  bad,
}: {
  label: string;
  value: string;
  unit: string;
  onChange: (v: string) => void;
  bad: boolean;
}) {
  return (
    <Group wrap="nowrap" component="label" gap={10}>
      <VisuallyHidden>{label}</VisuallyHidden>
      <TextInput
        error={bad}
        w={112}
        size="xl"
        classNames={{ input: c.bigFigure }}
        inputMode="decimal"
        aria-label={label}
        value={value}
        onChange={(e) => onChange(e.currentTarget.value)}
        aria-describedby="scale-error"
      />
      <Text span variant="mid">
        {unit}
      </Text>
    </Group>
  );
}

function WhoEats({ data, typing }: { data: RecipeAnswer; typing: Typing }) {
  const { draft, change } = typing;
  const baby = data.revision.kind === 'puree';
  const offered = data.eaters.filter((e) => (baby ? e.baby : e.stage !== 'baby'));
  const asked = askedBy(data, draft);
  const all = draft.eaterIds.length === 0;
  const toggle = (id: string): void => {
    const now = all ? offered.map((e) => e.id) : draft.eaterIds;
    const next = now.includes(id) ? now.filter((x) => x !== id) : [...now, id];
    change({ eaterIds: next.length === offered.length || next.length === 0 ? [] : next });
  };
  return (
    <Group gap={14}>
      <Group gap={8} className="chips" role="group" aria-label="Who eats it">
        {offered.map((e) => (
          <Button variant="chip" key={e.id} aria-pressed={all || draft.eaterIds.includes(e.id)} onClick={() => toggle(e.id)}>
            {e.name}
          </Button>
        ))}
      </Group>
      <Group gap={8} className="chips" role="group" aria-label="For how long">
        {[7, 14, 21, 28].map((d) => (
          <Button variant="chip" key={d} aria-pressed={draft.days === d} onClick={() => change({ days: d })}>
            {d / 7} {d === 7 ? 'week' : 'weeks'}
          </Button>
        ))}
      </Group>
      {!baby && (
        <Group wrap="nowrap" component="label" gap={8}>
          <span>this dish on</span>
          <NativeSelect value={draft.every} onChange={(e) => change({ every: Number(e.currentTarget.value) })}>
            {[1, 2, 3, 4, 5, 7, 10, 14].map((n) => (
              <option key={n} value={n}>
                {n === 1 ? 'every dinner' : `one dinner in ${n}`}
              </option>
            ))}
          </NativeSelect>
        </Group>
      )}
      <Text span variant="mid" role="status">
        {asked.who.length === 0 ? 'nobody' : `${asked.portions} ${portionName(data.revision.kind, asked.portions)}`}
        <Text span size="xs" c="dimmed" fw={400}>
          {' '}
          {asked.who.map((w) => `${w.name} ${sayPortions(w.portions)}`).join(', ')}
        </Text>
      </Text>
    </Group>
  );
}

function WhatIHave({ data, typing }: { data: RecipeAnswer; typing: Typing }) {
  const { draft, change } = typing;
  const lines = data.revision.lines.filter((l) => l.moment === 'batch' && l.amount !== undefined && l.unit);
  const set = (i: number, patch: Partial<(typeof draft.have)[number]>): void =>
    change({ have: draft.have.map((h, n) => (n === i ? { ...h, ...patch } : h)) });
  const others = lines.filter((l) => !draft.have.some((h) => h.lineId === l.id));
  return (
    <Stack gap={8}>
      {draft.have.map((h, i) => (
        <Group gap={8} key={i}>
          <TextInput
            error={h.amount.trim() !== '' && !(numberIn(h.amount) > 0)}
            w={104}
            size="xl"
            classNames={{ input: c.bigFigure }}
            inputMode="decimal"
            aria-label="How much I have"
            value={h.amount}
            placeholder="2.4"
            onChange={(e) => set(i, { amount: e.currentTarget.value })}
          />
          <NativeSelect aria-label="Unit" value={h.unit} onChange={(e) => set(i, { unit: e.currentTarget.value as Unit })}>
            {[...new Set([...haveUnits, h.unit])].map((u) => (
              <option key={u} value={u}>
                {u === 'piece' ? 'pieces' : unitFacts[u].short}
              </option>
            ))}
          </NativeSelect>
          <span>of</span>
          <NativeSelect
            aria-label="Of what"
            value={h.lineId}
            onChange={(e) => {
              const line = lines.find((l) => l.id === e.currentTarget.value);
              set(i, { lineId: e.currentTarget.value, unit: haveUnit(line?.unit) });
            }}
          >
            {lines
              .filter((l) => l.id === h.lineId || others.includes(l))
              .map((l) => (
                <option key={l.id} value={l.id}>
                  {l.name}
                </option>
              ))}
          </NativeSelect>
          {draft.have.length > 1 && (
            <Anchor component="button" size="xs" type="button" onClick={() => change({ have: draft.have.filter((_, n) => n !== i) })}>
              not this
            </Anchor>
          )}
          {i === draft.have.length - 1 && others[0] && (
            <Anchor
              component="button"
              size="xs"
              type="button"
              onClick={() =>
                change({ have: [...draft.have, { lineId: others[0]?.id ?? '', amount: '', unit: haveUnit(others[0]?.unit) }] })
              }
            >
              and of another
            </Anchor>
          )}
        </Group>
      ))}
      <Text span size="xs" c="dimmed">
        As bought: peel, core and tin liquid are taken off. The one that runs out first decides.
      </Text>
    </Stack>
  );
}

function Target({
  data,
  typing,
  bad,
  more,
}: {
  data: RecipeAnswer;
  typing: Typing;
  bad: boolean;
  /** All ways are shown. */ more: boolean;
}) {
  const { draft, change } = typing;
  const { revision } = data;
  switch (draft.by) {
    case 'portions': {
      const n = numberIn(draft.portions);
      return (
        <Group gap={14}>
          <BigNumber
            label="Portions"
            value={draft.portions}
            unit={portionName(revision.kind, n)}
            onChange={(portions) => change({ portions })}
            bad={bad}
          />
          <Stepper
            label="Portions"
            value={Number.isFinite(n) ? n : revision.servings}
            say={() => ''}
            min={1}
            max={2000}
            onChange={(p) => change({ portions: String(p) })}
          />
          <Group gap={8} className={`chips ${c.ways}`} data-more={more || undefined} role="group" aria-label="Usual sizes">
            {[1, 2, 3].map((k) => (
              <Button
                variant="chip"
                key={k}
                aria-pressed={n === revision.servings * k}
                onClick={() => change({ portions: String(revision.servings * k) })}
              >
                {sayPortions(revision.servings * k)}
              </Button>
            ))}
          </Group>
        </Group>
      );
    }
    case 'litres':
      return <BigNumber label="Litres" value={draft.litres} unit="litres" onChange={(litres) => change({ litres })} bad={bad} />;
    case 'grams':
      return <BigNumber label="Grams" value={draft.grams} unit="g finished" onChange={(grams) => change({ grams })} bad={bad} />;
    case 'cubes':
      return (
        <BigNumber
          label="Cubes"
          value={draft.cubes}
          unit={`cubes of ${revision.cubeMl ?? 27} ml`}
          onChange={(cubes) => change({ cubes })}
          bad={bad}
        />
      );
    case 'eaters':
      return <WhoEats data={data} typing={typing} />;
    case 'have':
      return <WhatIHave data={data} typing={typing} />;
    case 'vessel':
      return (
        <Group gap={8} className="chips" role="group" aria-label="Which pot or bowl">
          {vesselsFor(data).map((v) => (
            <Button variant="chip" key={v.id} aria-pressed={draft.vesselId === v.id} onClick={() => change({ vesselId: v.id })}>
              {v.name}
              {v.litres ? `, ${v.litres} L` : ''}
            </Button>
          ))}
        </Group>
      );
  }
}

/** What to scale to, and in which measures; one row of ways, then the one that is chosen. */
export function ScaleBar({ data, typing, error }: { data: RecipeAnswer; typing: Typing; error: TargetError | undefined }) {
  const { draft, change } = typing;
  // a phone shows the amounts first: other ways to size it are a tap away
  const [more, setMore] = useState(draft.by !== 'portions');
  return (
    <Card className="noprint" aria-label="Scale to">
      <Group gap={10} justify="space-between" className={c.ways} data-more={more || undefined} mb={14}>
        <Group gap={8} className="chips" role="group" aria-label="Scale to">
          {waysFor(data).map((w) => (
            <Button variant="chip" key={w} aria-pressed={draft.by === w} onClick={() => change({ by: w })}>
              {wayNames[w]}
            </Button>
          ))}
        </Group>
        <SegmentedControl
          aria-label="Measures"
          value={draft.shown}
          onChange={(v) => change({ shown: v as typeof draft.shown })}
          data={shownNames.map(([value, label]) => ({ value, label }))}
        />
      </Group>
      <Target data={data} typing={typing} bad={error !== undefined} more={more} />
      <Anchor component="button" type="button" hiddenFrom="sm" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? 'fewer ways' : 'another size, other measures'}
      </Anchor>
      <div id="scale-error" role="alert">
        {error && !(error.why === 'nothingOnHand' && draft.by === 'have') && (
          <Note tone="bad" mt={10}>
            {sayTargetError(error)} Nothing else was changed; the last amounts are not shown so that nobody cooks by them.
          </Note>
        )}
        {error?.why === 'nothingOnHand' && draft.by === 'have' && (
          <Text size="xs" c="dimmed">
            {sayTargetError(error)} Until then the amounts are as written.
          </Text>
        )}
      </div>
    </Card>
  );
}
