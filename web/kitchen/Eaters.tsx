import { Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import type { Eater } from '#core/contract';
import { sayPortions } from '#core/kitchen';
import type { KitchenAnswer } from '#core/queries';
import { Empty } from '../ui/ui.tsx';
import { EaterForm } from './EaterForm.tsx';
import { Weeks } from './Weeks.tsx';
import { useOpened } from '../form/useOpened.ts';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';

const sayRota = (e: Eater): string => (e.presence.rota ? `${e.presence.rota.daysOn} days away, ${e.presence.rota.daysOff} home` : '');

export function Eaters({ data }: { data: KitchenAnswer }) {
  const editing = useOpened();
  const open = data.eaters.find((e) => e.id === editing.id);
  const plates = data.weeks.quarters.reduce((s, q) => s + q, 0) / 4;
  const baby = data.weeks.babyMeals.reduce((s, q) => s + q, 0);
  const must = data.eaters.filter((e) => e.allergens.length > 0 || e.needs.length > 0 || e.stage === 'baby');
  return (
    <>
      {data.eaters.length === 0 ? (
        <Empty
          title="Who eats here?"
          text="Dinners left, portions to cook and the baby’s days of supply are all counted from who is at the table."
        >
          <Button onClick={() => editing.open('new')}>Add the first</Button>
        </Empty>
      ) : (
        <Stack>
          <Card aria-label="Who is at the table">
            <Group justify="space-between" align="baseline" mb={8}>
              <Title order={2}>Who is at the table</Title>
              <Text span inherit c="dimmed">
                breakfast, lunch, dinner; tap one to change it
              </Text>
            </Group>
            <Weeks data={data} />
          </Card>
          <Columns align="start" parts={[1, 1, 1]}>
            <Card aria-label="Four weeks">
              <Title order={2}>Next four weeks</Title>
              <Group gap={24}>
                <div>
                  <Text span variant="big">
                    {sayPortions(plates)}
                  </Text>
                  <Text span variant="unit">
                    plates at dinner
                  </Text>
                </div>
                {baby > 0 && (
                  <div>
                    <Text span variant="big">
                      {baby}
                    </Text>
                    <Text span variant="unit">
                      small meals
                    </Text>
                  </div>
                )}
              </Group>
              <Text size="xs" c="dimmed" mt={8}>
                One plate is a recipe’s own serving.
              </Text>
            </Card>
            {must.length > 0 && (
              <Card aria-label="Mind">
                <Title order={2}>Mind</Title>
                <Rows>
                  {must.map((e) => (
                    <li key={e.id}>
                      <Box className="grow">
                        <b>{e.name}</b>:{' '}
                        {[
                          ...e.allergens.map((a) => `no ${data.allergenNames[a] ?? a}`),
                          ...(e.needs.includes('lowSalt') ? ['low salt'] : []),
                          ...(e.needs.includes('noPork') ? ['no pork'] : []),
                          ...(e.needs.includes('vegetarian') ? ['vegetarian'] : []),
                          ...(e.stage === 'baby' ? ['no honey before 12 months, no added salt'] : []),
                        ].join(', ')}
                      </Box>
                    </li>
                  ))}
                </Rows>
              </Card>
            )}
            <Card aria-label="Change">
              <Title order={2}>Change</Title>
              <Group gap={8} className="chips">
                {data.eaters.map((e) => (
                  <Button variant="chip" key={e.id} onClick={() => editing.open(e.id)}>
                    {e.name}
                  </Button>
                ))}
                <Button variant="chip" onClick={() => editing.open('new')}>
                  Add somebody
                </Button>
              </Group>
              {data.eaters.some((e) => e.presence.rota) && (
                <Text size="xs" c="dimmed" mt={10}>
                  {data.eaters
                    .filter((e) => e.presence.rota)
                    .map((e) => `${e.name}: ${sayRota(e)}`)
                    .join('; ')}
                  .
                </Text>
              )}
            </Card>
          </Columns>
        </Stack>
      )}
      {(open ?? editing.id === 'new') && <EaterForm key={editing.id} eater={open} data={data} onClose={editing.close} />}
    </>
  );
}
