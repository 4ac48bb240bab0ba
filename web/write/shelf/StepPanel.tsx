import { Button, Card, Checkbox, Group, NativeSelect, SimpleGrid, Stack, Text, TextInput, Title, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { workKindSchema, type Step, type WorkKind } from '#core/contract';
import { segmentsOf, workFacts } from '#core/recipe';
import { capital } from '#core/kitchen';
import { stepName } from './sayStep.ts';
import type { Method } from './useMethod.ts';
import c from './StepPanel.module.css';

const kindWords: Partial<Record<WorkKind, string>> = {
  fry: 'fry by pieces',
  melt: 'melt or toast',
  boil: 'boil or blanch',
  slow: 'slow or under pressure',
  rest: 'rest or prove',
  soak: 'soak or marinate',
  cool: 'cool or chill',
  freeze: 'freeze or dry',
  fill: 'fill, layer, pack',
  finish: 'season, finish',
  bake: 'bake or roast',
};
const kinds = workKindSchema.options.map((k) => ({ value: k, label: kindWords[k] ?? k }));

/** A figure as it is typed, taken when the field is left. */
function Figure({
  label,
  value,
  guessed,
  most,
  onSay,
}: {
  label: string;
  value: number | undefined;
  guessed: boolean;
  most: number;
  onSay: (n: number | undefined) => void;
}) {
  const shown = value === undefined ? '' : String(value);
  const [typed, setTyped] = useState<string>();
  const n = Number((typed ?? shown).replace(',', '.'));
  const bad = typed !== undefined && typed.trim() !== '' && !(n >= 0 && n <= most);
  return (
    <TextInput
      label={label}
      description={guessed ? 'a guess' : undefined}
      inputMode="decimal"
      value={typed ?? shown}
      error={bad ? `A number up to ${most}` : undefined}
      onChange={(e) => setTyped(e.currentTarget.value)}
      onBlur={() => {
        if (typed !== undefined && !bad && typed.trim() !== shown) onSay(typed.trim() === '' ? undefined : n);
        if (!bad) setTyped(undefined);
      }}
      onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
    />
  );
}

/** Words of a step; a gap between two clauses is where it can be parted. */
function Parting({ step, onCut }: { step: Step; onCut: (at: number) => void }) {
  const text = step.text;
  const starts = segmentsOf(text, 'en')
    .map((s) => s.tokens[0]?.at ?? s.at)
    .concat([...text.matchAll(/[,;.:]\s+|\s(?:and(?! a half| a quarter| twenty)|then|und|et|y|e)\s+/giu)].map((m) => m.index + m[0].length))
    .filter((at) => at > 3 && at < text.length - 3);
  const at = [...new Set(starts)].sort((a, b) => a - b);
  if (at.length === 0) return null;
  const parts = [0, ...at].map((from, i) => [from, text.slice(from, at[i])] as const);
  return (
    <div>
      <Text size="sm" fw={600}>
        Part it before
      </Text>
      <Text component="div" className={c.words}>
        {parts.map(([from, words]) =>
          from === 0 ? (
            <span key={from}>{words}</span>
          ) : (
            <UnstyledButton key={from} className={c.cut} aria-label={`Part the step before “${words.trim()}”`} onClick={() => onCut(from)}>
              {words}
            </UnstyledButton>
          ),
        )}
      </Text>
    </div>
  );
}

/** One step, corrected in place. */
export function StepPanel({ step, i, method, onClose }: { step: Step; i: number; method: Method; onClose: () => void }) {
  const { steps, acts } = method;
  const heat = step.needs.find((n) => n.kind === 'oven')?.tempC;
  const inOven = step.kind !== undefined && workFacts[step.kind].place === 'oven';
  return (
    <Card aria-label={`Step ${i + 1}`} className={c.panel}>
      <Group justify="space-between" align="start" wrap="nowrap">
        <Title order={3}>
          {i + 1}. {step.text}
        </Title>
        <Button variant="outline" size="sm" onClick={onClose}>
          Done
        </Button>
      </Group>
      <SimpleGrid cols={{ base: 2, sm: 3 }} spacing={12} mt={8}>
        <NativeSelect
          label="Work"
          data={step.kind ? kinds : [{ value: '', label: 'not said' }, ...kinds]}
          value={step.kind ?? ''}
          onChange={(e) => e.currentTarget.value && acts.say(step, { kind: e.currentTarget.value as WorkKind })}
        />
        <Figure
          label="Minutes of hands"
          value={step.handsOnMin}
          guessed={step.guessed?.includes('hands') ?? false}
          most={600}
          onSay={(n) => acts.say(step, { handsOnMin: n ?? 0 })}
        />
        <Figure
          label="Minutes by itself"
          value={step.waitMin}
          guessed={step.guessed?.includes('wait') ?? false}
          most={20_000}
          onSay={(n) => acts.say(step, { waitMin: n ?? 0 })}
        />
        <NativeSelect
          label="Stands on"
          data={[
            { value: '', label: 'the worktop' },
            { value: 'hob', label: 'the hob' },
            { value: 'oven', label: 'the oven' },
            { value: 'blender', label: 'the blender' },
            { value: 'processor', label: 'the processor' },
            { value: 'steamer', label: 'the steamer' },
            { value: 'microwave', label: 'the microwave' },
          ]}
          value={step.needs[0]?.kind ?? ''}
          onChange={(e) => {
            const kind = e.currentTarget.value as Step['needs'][number]['kind'] | '';
            acts.say(step, { needs: kind ? [{ kind, ...(kind === 'oven' && heat !== undefined && { tempC: heat }) }] : [] });
          }}
        />
        {inOven && (
          <Figure
            label="Oven, °C"
            value={heat}
            guessed={false}
            most={400}
            onSay={(n) =>
              acts.say(step, {
                needs: [...step.needs.filter((x) => x.kind !== 'oven'), { kind: 'oven', ...(n !== undefined && { tempC: n }) }],
              })
            }
          />
        )}
        {!inOven && step.needs.some((n) => n.kind === 'hob') && (
          <NativeSelect
            label="Lid"
            data={[
              { value: '', label: 'not said' },
              { value: 'on', label: 'on' },
              { value: 'ajar', label: 'ajar' },
              { value: 'off', label: 'off' },
            ]}
            value={step.lid ?? ''}
            onChange={(e) => e.currentTarget.value && acts.say(step, { lid: e.currentTarget.value as 'on' | 'ajar' | 'off' })}
          />
        )}
        <NativeSelect
          label="When"
          data={[
            { value: 'eve', label: 'the evening before' },
            { value: 'batch', label: 'in the session' },
            { value: 'serve', label: 'on the day of eating' },
          ]}
          value={step.moment ?? 'batch'}
          onChange={(e) => acts.say(step, { moment: e.currentTarget.value as 'eve' | 'batch' | 'serve' })}
        />
      </SimpleGrid>
      <SimpleGrid cols={{ base: 1, sm: 2 }} spacing={12} mt={10}>
        <Checkbox.Group
          label="Comes after"
          description="Whatever is not ticked may be done beside it."
          value={step.after}
          onChange={(after) =>
            acts.say(step, {
              after,
              takes: [...(step.takes ?? step.after).filter((id) => after.includes(id)), ...after.filter((id) => !step.after.includes(id))],
            })
          }
        >
          <Stack gap={4} mt={4} mah={220} style={{ overflowY: 'auto' }}>
            {steps.map((s, k) => (s.id === step.id ? null : <Checkbox key={s.id} value={s.id} label={stepName(s, k)} />))}
          </Stack>
        </Checkbox.Group>
        <TextInput
          key={step.cue ?? ''}
          label="Done when"
          defaultValue={step.cue ?? ''}
          placeholder="a spoon leaves the base bare"
          maxLength={200}
          onBlur={(e) => {
            const cue = e.currentTarget.value.trim();
            if (cue !== (step.cue ?? '')) acts.say(step, { cue });
          }}
        />
      </SimpleGrid>
      <Stack gap={8} mt={10}>
        <Parting step={step} onCut={(at) => acts.cut(step, at)} />
        {i > 0 && (
          <Button variant="outline" size="sm" style={{ alignSelf: 'start' }} onClick={() => acts.join(step)}>
            Join it to {stepName(steps[i - 1]!, i - 1)}
          </Button>
        )}
        {(step.said?.length ?? 0) > 0 && (
          <Text size="sm" c="dimmed">
            {capital(listSaid(step))} by you: it stays when the method is read again.
          </Text>
        )}
      </Stack>
    </Card>
  );
}

const saidWords = {
  hands: 'hands',
  wait: 'waiting',
  uses: 'what goes in',
  after: 'order',
  needs: 'where it stands',
  cue: 'cue',
  kind: 'work',
  moment: 'day',
  lid: 'lid',
} as const;
const listSaid = (step: Step): string => `${(step.said ?? []).map((s) => saidWords[s]).join(', ')} said`;
