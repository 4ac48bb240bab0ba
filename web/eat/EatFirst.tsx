import { Anchor, Box, Button, Card, Group, NativeSelect, Text, TextInput, Title } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { countOf, sayNear, sayPortions, sayWeekday } from '#core/kitchen';
import type { EatAnswer, PackBrief } from '#core/queries';
import { portionName } from '#core/session';
import { pilesOf } from '#core/store';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf, datedAs } from '../ui/packWords.ts';
import { Rows } from '../ui/Rows.tsx';

export const isDinner = (p: PackBrief): boolean => p.dinner;

/** Dishes that are drawn at once: what is eaten first is among the first. */
const dishesAtOnce = 12;

/** One pack: what, by when, which evening, eaten. */
function PackRow({
  p,
  data,
  open,
  onPut,
  onLog,
  children,
}: {
  p: PackBrief;
  data: EatAnswer;
  /** The next evening that wants a dinner. */
  open: string | undefined;
  onPut: (p: PackBrief, day: string) => void;
  onLog: (packId: string) => void;
  children: ReactNode;
}) {
  return (
    <li>
      <KindMark kind={p.kind} size={24} />
      <Box className="grow">
        <Link className="main" to={`/p/${p.code}`}>
          {p.name}, {amountOf(p)}
        </Link>
        <Text size="xs" c="dimmed">
          {datedAs(p)}, {p.code}
        </Text>
        <NotFor says={p.notFor} />
        {children}
      </Box>
      {isDinner(p) && open && !p.planned && (
        <Button variant="outline" size="sm" onClick={() => onPut(p, open)}>
          for {sayNear(open, data.today)}
        </Button>
      )}
      {isDinner(p) && (
        <NativeSelect
          size="xs"
          aria-label={`Evening for ${p.name} ${p.code}`}
          value={p.planned?.day ?? ''}
          onChange={(e) => onPut(p, e.currentTarget.value)}
        >
          <option value="">evening</option>
          {data.evenings.map((e) => (
            <option key={e.day} value={e.day}>
              {sayNear(e.day, data.today)}
            </option>
          ))}
          {p.planned && !data.evenings.some((e) => e.day === p.planned?.day) && (
            <option value={p.planned.day}>{sayWeekday(p.planned.day)}</option>
          )}
        </NativeSelect>
      )}
      <Anchor component="button" size="xs" type="button" onClick={() => onLog(p.packId)} aria-label={`Log ${p.name} ${p.code} as eaten`}>
        eaten
      </Anchor>
      <DueTag due={p.due} />
    </li>
  );
}

/** What is due soonest, dish by dish; the other packs of a dish are a tap away. */
export function EatFirst({ data, onLog }: { data: EatAnswer; onLog: (packId: string) => void }) {
  const { log } = useCommands();
  const [q, setQ] = useState('');
  const [shownDishes, setShownDishes] = useState(dishesAtOnce);
  const [fanned, setFanned] = useState<readonly string[]>([]);
  const open = data.evenings.find(
    (e) =>
      e.quarters > 0 &&
      !(e.day === data.today && data.tonightLogged) &&
      e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0) < e.quarters,
  );
  const list = data.eatFirst.filter((p) => p.name.toLowerCase().includes(q.toLowerCase()) || p.code.toLowerCase() === q.toLowerCase());
  const put = (p: PackBrief, day: string): void =>
    void log(planFor([p], day), day ? `${p.name} is planned for ${sayNear(day, data.today)}` : `${p.name} is no longer planned`);
  const piles = pilesOf(list, 'dish');
  const row = (p: PackBrief, more?: ReactNode) => (
    <PackRow key={p.packId} p={p} data={data} open={open?.day} onPut={put} onLog={onLog}>
      {more}
    </PackRow>
  );
  return (
    <Card aria-label="Eat first">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Eat first</Title>
        <TextInput
          w={170}
          type="search"
          placeholder="Name or code"
          aria-label="Filter eat first"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
      </Group>
      {list.length === 0 ? (
        <Text inherit c="dimmed">
          {data.eatFirst.length === 0 ? 'Nothing frozen is left. Plan a session.' : 'Nothing of that name.'}
        </Text>
      ) : (
        <Rows mah={860} pr={6} tabIndex={0} aria-label="Dishes, the soonest due first">
          {piles.slice(0, shownDishes).flatMap((pile) => {
            const [first, ...others] = pile.packs;
            if (!first) return [];
            const left = pile.left - first.left;
            const shown = fanned.includes(pile.key);
            const toggle = (): void => setFanned(shown ? fanned.filter((k) => k !== pile.key) : [...fanned, pile.key]);
            return [
              row(
                first,
                others.length > 0 && (
                  <Anchor component="button" type="button" size="xs" aria-expanded={shown} onClick={toggle}>
                    {shown
                      ? 'only the first'
                      : `and ${countOf(others.length, 'pack')} more, ${sayPortions(left)} ${portionName(pile.kind, left)}`}
                  </Anchor>
                ),
              ),
              ...(shown ? others.map((p) => row(p)) : []),
            ];
          })}
        </Rows>
      )}
      {piles.length > shownDishes && (
        <Anchor component="button" type="button" onClick={() => setShownDishes(piles.length)}>
          and {countOf(piles.length - shownDishes, 'dish', 'dishes')} more
        </Anchor>
      )}
    </Card>
  );
}
