import { Tabs } from '@mantine/core';
import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { useKitchenQuery } from '../sync/api.ts';
import { PageHead, Waiting, Page } from '../ui/ui.tsx';
import { HalfMade } from '../ui/HalfMade.tsx';
import { aside } from '../ui/aside.tsx';
import { HouseholdForm } from './HouseholdForm.tsx';
import { Eaters } from './Eaters.tsx';
import { Gear } from './Gear.tsx';
import { Copies } from './Copies.tsx';
import { TakenAway } from './TakenAway.tsx';
import { ThisDevice } from './ThisDevice.tsx';
import { Containers, Places } from './Places.tsx';

const tabs = [
  ['eaters', 'Who eats'],
  ['gear', 'Pots and heat'],
  ['containers', 'Containers'],
  ['places', 'Cold places'],
  ['larder', 'Ingredients'],
  ['figures', 'Figures'],
  ['household', 'Household'],
  ['data', 'Copies'],
  ['device', 'This device'],
] as const;

/** Large tables are fetched when they are opened. */
const Larder = aside(async () => ({ default: (await import('./Larder.tsx')).Larder }), <Waiting />);
const Figures = aside(async () => ({ default: (await import('./Figures.tsx')).Figures }), <Waiting />);

const HomeCard = aside(async () => ({ default: (await import('../door/HomeCard.tsx')).HomeCard }));

type Tab = (typeof tabs)[number][0];

/** Kitchen: who eats and when, what there is to cook, pack and store in. */
export function KitchenPage() {
  const { data, error, refetch } = useKitchenQuery();
  const [params, setParams] = useSearchParams();
  const path = `/kitchen?${params.toString()}`;
  const tab = (tabs.find(([id]) => id === params.get('tab'))?.[0] ?? 'eaters') satisfies Tab;
  const here = useRef<HTMLButtonElement>(null);
  const ready = data !== undefined;
  useEffect(() => {
    // on a phone the row of parts runs off the side: bring the open one into its middle
    const row = here.current?.parentElement;
    if (row && here.current) row.scrollLeft = here.current.offsetLeft - row.offsetLeft - (row.clientWidth - here.current.offsetWidth) / 2;
  }, [tab, ready]);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  return (
    <Page>
      <Tabs value={tab} variant="pills" keepMounted={false} onChange={(id) => id && setParams({ tab: id }, { replace: true })}>
        <PageHead title="Kitchen" lead={data.household.name}>
          <Tabs.List className="chips" aria-label="Part of the kitchen">
            {tabs.map(([id, name]) => (
              <Tabs.Tab key={id} value={id} ref={tab === id ? here : undefined}>
                {name}
              </Tabs.Tab>
            ))}
          </Tabs.List>
        </PageHead>
        <HalfMade only={(d) => d.path.startsWith('/kitchen') && !path.startsWith(d.path)} />
        <Tabs.Panel value={tab}>
          {tab === 'eaters' && <Eaters data={data} />}
          {tab === 'gear' && <Gear data={data} />}
          {tab === 'containers' && <Containers data={data} />}
          {tab === 'places' && <Places data={data} />}
          {tab === 'larder' && <Larder />}
          {tab === 'figures' && <Figures />}
          {tab === 'data' && (
            <>
              <Copies zone={data.household.timeZone} />
              <TakenAway zone={data.household.timeZone} />
            </>
          )}
          {tab === 'device' && <ThisDevice household={data.household} />}
          {tab === 'household' && (
            <>
              <HouseholdForm key={JSON.stringify(data.household)} household={data.household} />
              <HomeCard household={data.household} />
            </>
          )}
        </Tabs.Panel>
      </Tabs>
    </Page>
  );
}
