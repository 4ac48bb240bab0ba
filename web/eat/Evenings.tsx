import { Anchor, Box, Card, Text, SimpleGrid } from '@mantine/core';
import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { countOf, sayNear, sayWeekday, shortWeekday } from '#core/kitchen';
import type { EatAnswer, Evening } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { NotFor } from '../ui/ui.tsx';
import { isDinner } from './EatFirst.tsx';
import { Rows } from '../ui/Rows.tsx';

const dishesOn = (e: Evening) => [...new Map(e.packs.map((p) => [p.name, p])).values()];

/** Evenings that a thumb scrolls through. */
const onPhone = 6;

/** The same evenings one below the other, for a phone. */
function EveningRows({ data, onClear }: { data: EatAnswer; onClear: (e: Evening) => void }) {
  const names = new Map(data.eaters.map((e) => [e.id, e.name]));
  return (
    <Rows hiddenFrom="sm">
      {data.evenings.slice(0, onPhone).map((e) => {
        const dishes = dishesOn(e);
        return (
          <li key={e.day} data-nowrap>
            <Box w={74} fw={700} c={e.day === data.today ? 'var(--tomato)' : 'var(--ink)'}>
              {e.day === data.today ? 'Tonight' : `${shortWeekday(e.day)} ${Number(e.day.slice(8))}`}
            </Box>
            <Plates quarters={e.quarters} covered={e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0)} size={30} />
            <Box className="grow">
              {dishes.map((p) => (
                <Link key={p.name} className="main" to={`/p/${p.code}`} style={{ padding: 0 }}>
                  {p.name}
                </Link>
              ))}
              <Text component="div" size="xs" c="dimmed">
                {e.eaters.length === 0 ? 'nobody home' : e.eaters.map((x) => names.get(x.eaterId)).join(', ')}
                {e.quarters > 0 && dishes.length === 0 ? (e.day === data.today && data.tonightLogged ? '; written down' : '; open') : ''}
              </Text>
              <NotFor says={e.notFor} />
            </Box>
            {dishes.length > 0 && (
              <Anchor
                component="button"
                size="xs"
                type="button"
                onClick={() => onClear(e)}
                aria-label={`Take everything off ${sayWeekday(e.day)}`}
              >
                take off
              </Anchor>
            )}
          </li>
        );
      })}
    </Rows>
  );
}

/** The evenings ahead as plates along a table, with what stands on each. */
export function Table({ data }: { data: EatAnswer }) {
  const { log } = useCommands();
  const names = new Map(data.eaters.map((e) => [e.id, e.name]));
  const clear = (e: Evening): void => void log(planFor(e.packs, undefined), `${sayNear(e.day, data.today)} is open again`);
  return (
    <Card pb={10} aria-label="The coming evenings">
      <EveningRows data={data} onClear={clear} />
      <SimpleGrid visibleFrom="sm" cols={data.evenings.length} spacing={8} verticalSpacing={0}>
        {data.evenings.map((e) => (
          <Box
            ta="center"
            mih={62}
            key={`p${e.day}`}
            style={{ alignSelf: 'end', display: 'flex', alignItems: 'end', justifyContent: 'center' }}
          >
            <Plates quarters={e.quarters} covered={e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0)} size={34} />
          </Box>
        ))}
        <Box h={6} bg="var(--kind-bread)" style={{ gridColumn: '1/-1', borderRadius: 3 }} aria-hidden="true" />
        {data.evenings.map((e) => {
          const dishes = dishesOn(e);
          return (
            <Box pt={6} miw={0} key={e.day}>
              <Box fw={e.day === data.today ? 700 : 600} c={e.day === data.today ? 'var(--tomato)' : 'var(--ink)'}>
                {e.day === data.today ? 'Tonight' : `${shortWeekday(e.day)} ${Number(e.day.slice(8))}`}
              </Box>
              <Text component="div" size="xs" c="dimmed">
                {e.eaters.length === 0 ? 'nobody home' : e.eaters.map((x) => names.get(x.eaterId)).join(', ')}
              </Text>
              {dishes.map((p) => (
                <Box mt={6} fz={15} lh={1.25} key={p.name}>
                  <KindMark kind={p.kind} size={16} />{' '}
                  <Link to={`/p/${p.code}`} style={{ color: 'var(--ink)' }}>
                    {p.name}
                  </Link>
                  <Text component="div" size="xs" c="dimmed">
                    {countOf(e.packs.filter((x) => x.name === p.name).length, 'pack')}
                    {p.status === 'fridge' ? ', thawed' : ''}
                  </Text>
                </Box>
              ))}
              <NotFor says={e.notFor} />
              {e.quarters > 0 && dishes.length === 0 && (
                <Text component="div" size="xs" c="dimmed" mt={6}>
                  {e.day === data.today && data.tonightLogged ? 'eaten, written down' : 'open'}
                </Text>
              )}
              {dishes.length > 0 && (
                <Anchor
                  component="button"
                  size="xs"
                  type="button"
                  onClick={() => clear(e)}
                  aria-label={`Take everything off ${sayWeekday(e.day)}`}
                >
                  take off
                </Anchor>
              )}
            </Box>
          );
        })}
      </SimpleGrid>
    </Card>
  );
}
