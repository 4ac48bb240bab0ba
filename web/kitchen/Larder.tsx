import { Badge, Button, Card, Group, NativeSelect, Text, TextInput, NavLink } from '@mantine/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { capital, countOf, ingredientFinder, sayMoney } from '#core/kitchen';
import type { IngredientRow } from '#core/contract';
import { newestPrice } from '#core/recipe';
import { aisles } from '#core/shop/data';
import type { LarderAnswer } from '#core/queries';
import { useLarderQuery } from '../sync/api.ts';
import { newId } from '../sync/device.ts';
import { Empty, Waiting } from '../ui/ui.tsx';
import { IngredientCard } from './IngredientCard.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Columns } from '../ui/Columns.tsx';

/** Rows shown at once; typing narrows them. */
const shownRows = 60;

type Only = 'all' | 'mine' | 'priced' | 'freezesBadly';
const onlyNames: readonly (readonly [Only, string])[] = [
  ['all', 'all'],
  ['mine', 'changed or added here'],
  ['priced', 'with a price'],
  ['freezesBadly', 'freezes badly'],
];

function keeps(row: IngredientRow, only: Only, data: LarderAnswer): boolean {
  if (only === 'mine') return data.edited.includes(row.id) || data.own.includes(row.id);
  if (only === 'priced') return (row.prices?.length ?? 0) > 0;
  return only === 'freezesBadly' ? row.freeze === 'badly' : true;
}

const blank = (): IngredientRow => ({
  id: `own_${newId()}`,
  name: '',
  otherNames: [],
  aisle: 'greens_roots',
  density: {},
  contains: [],
  mayHold: [],
  allergenCheck: 'unknown',
  source: 'OWN',
  conf: 'confirm',
});

function Found({ data }: { data: LarderAnswer }) {
  const [params, setParams] = useSearchParams();
  const [q, setQ] = useState('');
  const [aisle, setAisle] = useState('');
  const [only, setOnly] = useState<Only>('all');
  const [added, setAdded] = useState<IngredientRow>(blank);
  const finder = useMemo(() => ingredientFinder(data.rows), [data.rows]);
  const found = useMemo(
    () => (q.trim() ? finder.search(q, data.rows.length) : data.rows).filter((r) => (!aisle || r.aisle === aisle) && keeps(r, only, data)),
    [finder, data, q, aisle, only],
  );
  const chosen = params.get('i');
  const isNew = chosen === 'new';
  const row = isNew ? added : (finder.byId(chosen ?? '') ?? found[0]);
  const choose = (id: string): void => {
    setParams({ tab: 'larder', i: id }, { replace: true });
  };
  return (
    <Columns parts={[1, 1.5]} align="start">
      <Card aria-label="Find an ingredient">
        <Group gap={10}>
          <TextInput
            flex={1}
            miw={190}
            type="search"
            placeholder="Name, here or elsewhere"
            aria-label="Search ingredients"
            value={q}
            onChange={(e) => setQ(e.currentTarget.value)}
          />
          <NativeSelect aria-label="Aisle" value={aisle} onChange={(e) => setAisle(e.currentTarget.value)}>
            <option value="">every aisle</option>
            {aisles.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </NativeSelect>
        </Group>
        <Group gap={8} mt={10} className="chips" role="group" aria-label="Only">
          {onlyNames.map(([id, name]) => (
            <Button variant="chip" key={id} aria-pressed={only === id} onClick={() => setOnly(id)}>
              {name}
            </Button>
          ))}
        </Group>
        <Text size="xs" c="dimmed" mt={10} mb={4} role="status">
          {countOf(found.length, 'ingredient')}
          {found.length > shownRows ? `, the first ${shownRows} below` : ''}
        </Text>
        {found.length === 0 ? (
          <Text inherit c="dimmed">
            Nothing by that name. Add it below, with what you know of it.
          </Text>
        ) : (
          <Rows mah={{ base: 300, sm: 560 }}>
            {found.slice(0, shownRows).map((r) => {
              const price = newestPrice(r);
              return (
                <li key={r.id} data-bare>
                  <NavLink
                    component="button"
                    p="9px 8px"
                    bdrs={8}
                    active={row?.id === r.id}
                    aria-current={row?.id === r.id}
                    onClick={() => choose(r.id)}
                    label={
                      <Group gap={10} wrap="nowrap">
                        <Text className="grow" span inherit>
                          <b>{capital(r.name)}</b>
                          {r.otherNames.length > 0 && (
                            <Text span size="xs" c="dimmed">
                              {' '}
                              {r.otherNames.slice(0, 3).join(', ')}
                            </Text>
                          )}
                        </Text>
                        {data.own.includes(r.id) && <Badge color="rim">added here</Badge>}
                        {data.edited.includes(r.id) && <Badge color="leaf">changed</Badge>}
                        {price && (
                          <Text span size="xs" c="dimmed">
                            {sayMoney(price.cents, data.household.currency, data.household.locale)}
                          </Text>
                        )}
                      </Group>
                    }
                  />
                </li>
              );
            })}
          </Rows>
        )}
        <Button
          variant="outline"
          mt={12}
          onClick={() => {
            setAdded({ ...blank(), name: q.trim() });
            choose('new');
          }}
        >
          Add one of your own
        </Button>
      </Card>
      {row ? (
        <IngredientCard key={row.id + JSON.stringify(row).length} row={row} data={data} isNew={isNew} onKept={choose} />
      ) : (
        <Empty title="Choose one" text="Its weights, trim, price and how it keeps stand here." />
      )}
    </Columns>
  );
}

/** Ingredients: found by any of their names, changed, set back, added. */
export function Larder() {
  const { data, error, refetch } = useLarderQuery();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  return <Found data={data} />;
}
