import { Anchor, Button, Group, Modal, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { eatOtherwise, takeBack } from '#core/commands';
import type { Meal } from '#core/contract';
import { countOf, sayNear, sayPortions } from '#core/kitchen';
import { otherwise } from '#core/session';
import type { EatAnswer, PackBrief } from '#core/queries';
import { usualRest } from '#core/eat';
import { usePackQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { useHalfMade } from '../form/useHalfMade.ts';
import { DayField } from '../ui/DayField.tsx';
import { Note } from '../ui/Note.tsx';
import { useOnce } from '../ui/useOnce.ts';
import { DishHelpings } from './DishHelpings.tsx';
import { PackPicker } from './PackPicker.tsx';
import { dishSaid, dishSums, mealActs, mealSaidSchema, type DishSaid, type MealSaid } from './mealSaid.ts';

const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];

interface Changing {
  eventId: string;
  packId: string;
  /** As it was written down. */
  said: MealSaid;
}

function Form({
  data,
  start,
  all,
  asked,
  changing,
  onClose,
}: {
  data: EatAnswer;
  /** The first dish's packs. */
  start: readonly PackBrief[];
  /** Everything that can be eaten. */
  all: readonly PackBrief[];
  /** The evening it is for, when that is what was tapped. */
  asked: string | undefined;
  changing?: Changing;
  onClose: () => void;
}) {
  const { log } = useCommands();
  const { busy, once } = useOnce();
  const guestsOn = (day: string): number => data.evenings.find((e) => e.day === day)?.guests ?? 0;
  const [initial] = useState((): MealSaid => {
    if (changing) return changing.said;
    const planned = start[0]?.planned?.day;
    const day = asked ?? (planned !== undefined && planned < data.today ? planned : data.today);
    return { day, meal: 'dinner', dishes: start.length > 0 ? [dishSaid(start, data.eaters, day, guestsOn(day))] : [] };
  });
  const [said, say, half] = useHalfMade({
    key: changing ? `meal changed ${changing.eventId}` : `meal ${start.map((p) => p.packId).join(' ') || 'of any pack'}`,
    name: `Who ate ${start[0]?.name ?? 'what'}`,
    path: changing ? `/eat?change=${changing.eventId}` : `/eat?log=${start.map((p) => p.packId).join(',') || '1'}`,
    initial,
    schema: mealSaidSchema,
  });
  /** Which dish another pack is being chosen for; `new` for one more. */
  const [picking, setPicking] = useState<number | 'new' | undefined>(start.length === 0 ? 'new' : undefined);
  const { day, meal, dishes } = said;
  const known = new Map([...all, ...start].map((p) => [p.packId, p]));
  const packsOf = (d: DishSaid): PackBrief[] => d.packIds.flatMap((id) => known.get(id) ?? []);
  const sums = dishes.map((d) => dishSums(packsOf(d), d));
  const acts = mealActs(said, (id) => known.get(id));
  const future = day > data.today;
  const take = (p: PackBrief): void => {
    // packs of one dish that stand out for tonight go together
    const tonight = (data.evenings[0]?.packs ?? []).filter((t) => t.recipeId === p.recipeId && t.recipeId !== undefined && t.dinner);
    const packs = picking === 'new' && tonight.some((t) => t.packId === p.packId) ? tonight : [p];
    const dish = dishSaid(packs, data.eaters, day, dishes.length === 0 ? guestsOn(day) : 0);
    say({ ...said, dishes: picking === 'new' ? [...dishes, dish] : dishes.map((d, i) => (i === picking ? dish : d)) });
    setPicking(undefined);
  };
  const save = async (): Promise<void> => {
    const names = dishes.map((d) => packsOf(d)[0]?.name ?? '').filter(Boolean);
    const total = sums.reduce((s, x) => s + x.total, 0);
    const before = changing ? [takeBack({ id: changing.eventId, subjects: [changing.packId] })] : [];
    await log(
      [...before, ...acts],
      `${names[0] ?? 'Nothing'}${names.length > 1 ? ` and ${countOf(names.length - 1, 'more dish', 'more dishes')}` : ''}: ${sayPortions(total)} eaten`,
    );
    half?.drop();
    onClose();
  };
  const fromElsewhere = async (how: 'fresh' | 'out' | 'none'): Promise<void> => {
    await log(
      [eatOtherwise(data.householdId, day, how, data.otherwise.find((m) => m.day === day && m.meal === meal)?.eventId ?? '', meal)],
      `${meal} ${sayNear(day, data.today)}: ${otherwise[how]}`,
    );
    half?.drop();
    onClose();
  };
  if (picking !== undefined) {
    const taken = new Set(dishes.flatMap((d, i) => (i === picking ? [] : d.packIds)));
    return (
      <Stack>
        {dishes.length > 0 && (
          <Anchor component="button" type="button" onClick={() => setPicking(undefined)}>
            Back to the meal
          </Anchor>
        )}
        <PackPicker packs={all.filter((p) => !taken.has(p.packId))} onTake={take} />
        {dishes.length === 0 && (
          <Group gap={8} role="group" aria-label="Or from elsewhere">
            <Text>Or it was</Text>
            {(['fresh', 'out', 'none'] as const).map((how) => (
              <Button key={how} variant="chip" onClick={() => void fromElsewhere(how)}>
                {how === 'none' ? 'no dinner at all' : otherwise[how]}
              </Button>
            ))}
          </Group>
        )}
      </Stack>
    );
  }
  return (
    <>
      <Group mb={12} align="flex-end">
        <DayField
          label="Day"
          year="last"
          clearable={false}
          value={day}
          error={future ? 'Not eaten yet' : undefined}
          onChange={(next) => next && say({ ...said, day: next }, 'day')}
        />
        <Group gap={8} className="chips" role="group" aria-label="Meal">
          {meals.map((m) => (
            <Button variant="chip" key={m} aria-pressed={m === meal} onClick={() => say({ ...said, meal: m })}>
              {m}
            </Button>
          ))}
        </Group>
      </Group>
      <Stack gap={20}>
        {dishes.map((d, i) => (
          <DishHelpings
            key={d.packIds.join()}
            packs={packsOf(d)}
            dish={d}
            eaters={data.eaters}
            say={(next, field) => say({ ...said, dishes: dishes.map((x, k) => (k === i ? next : x)) }, field && `${i} ${field}`)}
            onOther={() => setPicking(i)}
            onRemove={dishes.length > 1 ? () => say({ ...said, dishes: dishes.filter((_, k) => k !== i) }) : undefined}
          />
        ))}
      </Stack>
      <Group wrap="nowrap" mt={16} pos="sticky" bottom={0} py={10} bg="var(--card)">
        <Button
          className="grow"
          size="lg"
          disabled={busy || future || sums.some((x) => x.over) || acts.length === 0}
          onClick={() => once(save)}
        >
          {changing ? 'Keep it so' : 'Log it'}
        </Button>
        <Button variant="outline" size="lg" onClick={() => setPicking('new')}>
          And another dish
        </Button>
      </Group>
    </>
  );
}

const Sheet = ({ title, onClose, children }: { title: string; onClose: () => void; children: React.ReactNode }) => (
  <Modal
    opened
    onClose={onClose}
    title={
      <Text span variant="mid">
        {title}
      </Text>
    }
    size={640}
    closeButtonProps={{ 'aria-label': 'Close' }}
  >
    {children}
  </Modal>
);

/** Who ate what: dish by dish, quarters for each eater, where the rest goes. */
export function LogMeal({ data, what, day, onClose }: { data: EatAnswer; what: string; day?: string | undefined; onClose: () => void }) {
  const all = [...data.fridge, ...data.eatFirst, ...data.probable, ...data.past];
  const tonight = data.evenings[0]?.packs.filter((p) => p.dinner && p.firstEvening <= data.today) ?? [];
  const start =
    what === 'tonight' ? tonight.filter((p) => p.recipeId === tonight[0]?.recipeId) : all.filter((p) => what.split(',').includes(p.packId));
  return (
    <Sheet title="Who ate what?" onClose={onClose}>
      <Form data={data} start={start} all={all} asked={day} onClose={onClose} />
    </Sheet>
  );
}

/** A meal that was logged wrong: who, how much, which pack, which day. What was logged stays in History as what it was. */
export function ChangeMeal({ data, eventId, onClose }: { data: EatAnswer; eventId: string; onClose: () => void }) {
  const entry = data.recent.find((r) => r.eventId === eventId);
  const { data: found } = usePackQuery(entry?.packId ?? '', { skip: !entry });
  if (!entry) return null;
  // as it stood before that meal
  const pack = found && { ...found.brief, left: found.brief.left + entry.portions };
  const all = [...data.fridge, ...data.eatFirst, ...data.probable, ...data.past].filter((p) => p.packId !== entry.packId);
  return (
    <Sheet title="What was it really?" onClose={onClose}>
      {pack ? (
        <Form
          data={data}
          start={[pack]}
          all={all}
          asked={undefined}
          changing={{
            eventId,
            packId: entry.packId,
            said: {
              day: entry.day,
              meal: entry.meal,
              dishes: [
                {
                  packIds: [entry.packId],
                  eaten: Object.fromEntries(entry.shares.map((s) => [s.eaterId, s.portions])),
                  guests: entry.guests,
                  rest: usualRest(pack.kind),
                },
              ],
            },
          }}
          onClose={onClose}
        />
      ) : (
        <Note>One moment: looking for the pack.</Note>
      )}
    </Sheet>
  );
}
