import { Box, Button, Group, Modal, NativeSelect, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { z } from 'zod';
import { eat } from '#core/commands';
import { daySchema, mealSchema, type Meal } from '#core/contract';
import { addDays, countOf, sayNear, sayPortions } from '#core/kitchen';
import { dealShares, usualHelpings, usualRest } from '#core/eat';
import { portionName } from '#core/session';
import { type EatAnswer, type PackBrief } from '#core/queries';
import { eatenPortions, pilesOf } from '#core/store';
import { useCommands } from '../sync/commands.ts';
import { useHalfMade } from '../form/useHalfMade.ts';
import { useOnce } from '../ui/useOnce.ts';
import { NotFor, Stepper } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf, datedAs } from '../ui/packWords.ts';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Columns } from '../ui/Columns.tsx';

const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];

/** Codes of a dish that are offered at once; typing one finds the others. */
const mostCodes = 6;

/** Who ate how much of it, when, and where the rest goes. */
const saidSchema = z.object({
  day: daySchema,
  meal: mealSchema,
  eaten: z.record(z.string(), z.number()),
  guests: z.number(),
  rest: z.enum(['fridge', 'freezer', 'binned']),
});

function Form({
  data,
  packs,
  asked,
  onClose,
  onBack,
}: {
  data: EatAnswer;
  packs: readonly PackBrief[];
  /** The evening it is for, when that is what was tapped. */
  asked: string | undefined;
  onClose: () => void;
  onBack: () => void;
}) {
  const { log } = useCommands();
  const planned = packs[0]?.planned?.day;
  const [initial] = useState(() => {
    const day = asked ?? (planned !== undefined && planned < data.today ? planned : data.today);
    return {
      day,
      meal: 'dinner' as Meal,
      eaten: Object.fromEntries(usualHelpings(packs, data.eaters, day)),
      guests: data.evenings.find((e) => e.day === day)?.guests ?? 0,
      rest: usualRest(packs[0]?.kind),
    };
  });
  const [said, say, half] = useHalfMade({
    key: `meal ${packs.map((p) => p.packId).join(' ')}`,
    name: `Who ate ${packs[0]?.name ?? 'what'}`,
    path: `/eat?log=${packs.map((p) => p.packId).join(',')}`,
    initial,
    schema: saidSchema,
  });
  const { day, meal, eaten, guests, rest } = said;
  const { busy, once } = useOnce();
  const first = packs[0];
  if (!first) return null;
  const held = packs.reduce((s, p) => s + p.left, 0);
  const total = Object.values(eaten).reduce((s, n) => s + n, 0) + guests;
  const over = total > held + 1e-9;
  const stays = Math.max(0, held - total);
  const step = first.kind === 'puree' || first.kind === 'aromatic' || first.kind === 'bread' ? 1 : 0.25;
  const warned = [...new Set(packs.flatMap((p) => p.notFor))];
  const save = async (): Promise<void> => {
    const dealt = dealShares(
      packs,
      data.eaters.map((e) => ({ eaterId: e.id, portions: eaten[e.id] ?? 0 })).filter((s) => s.portions > 0),
      guests,
    );
    const acts = dealt.flatMap((d) => {
      const taken = eatenPortions(d);
      const pack = packs.find((p) => p.packId === d.packId);
      return pack && (taken > 0 || rest === 'binned')
        ? [eat(pack, { day, meal, shares: d.shares, guests: d.guests, rest: d.left > 0 ? rest : 'none' })]
        : [];
    });
    if (acts.length > 0) await log(acts, `${first.name}: ${sayPortions(total)} eaten`);
    half?.drop();
    onClose();
  };
  return (
    <>
      <Group wrap="nowrap" mb={12}>
        <KindMark kind={first.kind} size={34} />
        <Box className="grow">
          <Title order={2} m={0}>
            {first.name}
          </Title>
          <Text component="div" c="dimmed" fz={15}>
            {packs.map((p) => p.code).join(', ')}: {sayPortions(held)} {portionName(first.kind, held)}, {datedAs(first)}
          </Text>
        </Box>
        <Button variant="outline" size="sm" onClick={onBack}>
          Another pack
        </Button>
      </Group>
      <NotFor says={warned} />
      {first.cold === 'thawing' && <Note tone="warn">It is still thawing: some ice may be left. Heat it by the minutes from frozen.</Note>}
      <Group mb={12}>
        <Group wrap="nowrap" component="label" gap={8}>
          Day{' '}
          <NativeSelect value={day} onChange={(e) => say({ ...said, day: e.currentTarget.value })}>
            {[0, -1, -2, -3, -4, -5, -6]
              .map((n) => addDays(data.today, n))
              .map((d) => (
                <option key={d} value={d}>
                  {sayNear(d, data.today)}
                </option>
              ))}
          </NativeSelect>
        </Group>
        <Group gap={8} className="chips" role="group" aria-label="Meal">
          {meals.map((m) => (
            <Button variant="chip" key={m} aria-pressed={m === meal} onClick={() => say({ ...said, meal: m })}>
              {m}
            </Button>
          ))}
        </Group>
      </Group>
      <Columns parts={[1, 1]} gap={10}>
        {data.eaters.map((e) => (
          <Note
            bg={(eaten[e.id] ?? 0) > 0 ? 'var(--pale)' : 'var(--card)'}
            key={e.id}
            style={{ justifyContent: 'space-between', border: '1.5px solid var(--rim-soft)' }}
          >
            <Group wrap="nowrap">
              <b>{e.name}</b>
              <Stepper
                label={e.name}
                value={eaten[e.id] ?? 0}
                step={step}
                say={sayPortions}
                onChange={(n) => say({ ...said, eaten: { ...eaten, [e.id]: n } }, e.id)}
              />
            </Group>
          </Note>
        ))}
        <Note bg="var(--card)" style={{ justifyContent: 'space-between', border: '1.5px solid var(--rim-soft)' }}>
          <Group wrap="nowrap">
            <span>Guests</span>
            <Stepper label="Guests" value={guests} step={step} say={sayPortions} onChange={(n) => say({ ...said, guests: n }, 'guests')} />
          </Group>
        </Note>
      </Columns>
      {over && (
        <Note tone="warn" mt={12} role="alert">
          That is {sayPortions(total - held)} more than these packs hold. Take some off, or add another pack of it from the store.
        </Note>
      )}
      {stays > 0 && !over && (
        <Note tone="good" mt={12}>
          <Group>
            <Text className="grow" span inherit>
              <b>
                {sayPortions(stays)} {portionName(first.kind, stays)}
              </b>{' '}
              {stays === 1 ? 'stays' : 'stay'}: where?
            </Text>
            {(['fridge', 'freezer', 'binned'] as const).map((r) => (
              <Button variant="chip" key={r} aria-pressed={rest === r} onClick={() => say({ ...said, rest: r })}>
                {r === 'binned' ? 'binned' : `in the ${r}`}
              </Button>
            ))}
          </Group>
          {rest === 'fridge' && <Box mt={6}>A fridge clock starts now; it then comes first in Eat first.</Box>}
          {rest === 'freezer' && first.status === 'fridge' && (
            <Box mt={6}>It has thawed: freezing it again is not advised. Take this only when the rest was still frozen.</Box>
          )}
        </Note>
      )}
      <Group wrap="nowrap" mt={16} pos="sticky" bottom={0} py={10} bg="var(--card)">
        <Button className="grow" size="lg" disabled={busy || over || (total === 0 && rest !== 'binned')} onClick={() => once(save)}>
          Log it
        </Button>
      </Group>
    </>
  );
}

/** Who ate what: a pack (or tonight's dish), quarters for each eater, where the rest goes. */
export function LogMeal({ data, what, day, onClose }: { data: EatAnswer; what: string; day?: string | undefined; onClose: () => void }) {
  const all = [...data.fridge, ...data.eatFirst, ...data.probable, ...data.past];
  const tonight = data.evenings[0]?.packs.filter((p) => p.dinner && p.firstEvening <= data.today) ?? [];
  const start =
    what === 'tonight' ? tonight.filter((p) => p.recipeId === tonight[0]?.recipeId) : all.filter((p) => what.split(',').includes(p.packId));
  const [packs, setPacks] = useState<readonly PackBrief[]>(start);
  const [q, setQ] = useState('');
  const found = all.filter((p) => `${p.name} ${p.code}`.toLowerCase().includes(q.toLowerCase()));
  const take = (p: PackBrief): void => {
    const sameDish = tonight.filter((t) => t.recipeId === p.recipeId);
    setPacks(sameDish.some((t) => t.packId === p.packId) ? sameDish : [p]);
  };
  return (
    <Modal
      opened
      onClose={onClose}
      title={
        <Text span variant="mid">
          Who ate what?
        </Text>
      }
      size={640}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      {packs.length > 0 ? (
        <Form key={packs.map((p) => p.packId).join()} data={data} packs={packs} asked={day} onClose={onClose} onBack={() => setPacks([])} />
      ) : (
        <>
          <TextInput
            w="100%"
            mb={10}
            type="search"
            data-autofocus
            placeholder="Name, or the code on the lid"
            aria-label="Which pack"
            value={q}
            onChange={(e) => setQ(e.currentTarget.value)}
          />
          {found.length === 0 ? (
            <Note tone="warn">Nothing of that name or code is in store. {q && `“${q}” is kept; check the lid.`}</Note>
          ) : (
            <Rows mah={420} tabIndex={0} aria-label="Packs">
              {pilesOf(found, 'dish').map((pile) => (
                <li key={pile.key}>
                  <KindMark kind={pile.kind} size={24} />
                  <Box className="grow">
                    <b>{pile.name}</b>
                    <Text size="xs" c="dimmed">
                      {countOf(pile.packs.length, 'pack')}, {sayPortions(pile.left)} {portionName(pile.kind, pile.left)}
                    </Text>
                  </Box>
                  <Group gap={6} justify="flex-end" maw={300}>
                    {pile.packs.slice(0, mostCodes).map((p, i) => (
                      <Button
                        key={p.packId}
                        variant={i === 0 ? 'outline' : 'chip'}
                        size="sm"
                        aria-label={`${p.name} ${p.code}, ${amountOf(p)}${p.status === 'fridge' ? ', in the fridge' : ''}`}
                        onClick={() => take(p)}
                      >
                        {p.code}
                        {p.status === 'fridge' ? ', fridge' : ''}
                      </Button>
                    ))}
                  </Group>
                </li>
              ))}
            </Rows>
          )}
        </>
      )}
    </Modal>
  );
}
