import { Anchor, Button, Card, Group, SimpleGrid, Text, Title, UnstyledButton, VisuallyHidden } from '@mantine/core';
import { Link, Navigate, useSearchParams } from 'react-router';
import { useCountQuery, useFrameQuery, useKitchenQuery } from '../sync/api.ts';
import { Waiting, Page } from '../ui/ui.tsx';
import { Count } from '../store/Count.tsx';
import { FirstSession } from './FirstSession.tsx';
import { missing, steps } from './steps.ts';
import { WhatYouOwn } from './WhatYouOwn.tsx';
import { WhoEats } from './WhoEats.tsx';

/** A shelf that fills step by step: what is done stands on it. */
function StepShelf({ at, done, onGo }: { at: number; done: readonly boolean[]; onGo: (step: number) => void }) {
  return (
    <SimpleGrid
      component="ol"
      cols={4}
      spacing={0}
      mt={10}
      p={0}
      style={{ listStyle: 'none', borderBottom: '5px solid var(--kind-bread)' }}
      aria-label="Steps"
    >
      {steps.map((s, i) => (
        <li key={s.id}>
          <UnstyledButton
            w="100%"
            mih={66}
            fz={15}
            lh={1.2}
            fw={i === at ? 700 : 400}
            ta="center"
            aria-current={i === at ? 'step' : undefined}
            onClick={() => onGo(i)}
          >
            <svg width="34" height="38" viewBox="0 0 34 38" aria-hidden="true">
              <path
                d="M5 10h24v22a4 4 0 0 1-4 4H9a4 4 0 0 1-4-4z"
                fill={done[i] ? 'var(--rim)' : 'none'}
                stroke={i === at ? 'var(--saffron-fill)' : 'var(--rim)'}
                strokeWidth="2.4"
              />
              <rect x="7" y="3" width="20" height="6" rx="2" fill={done[i] ? 'var(--rim)' : 'none'} stroke="var(--rim)" strokeWidth="2" />
              {done[i] && <path d="M11 22l4 4 8-8" fill="none" stroke="var(--on-rim)" strokeWidth="3" strokeLinecap="round" />}
            </svg>
            <Text span inherit display="block">
              {s.says}
              {done[i] && <VisuallyHidden>, done</VisuallyHidden>}
            </Text>
          </UnstyledButton>
        </li>
      ))}
    </SimpleGrid>
  );
}

/** The first evening: four short steps from nothing to a planned batch; everything is kept as it is tapped. */
export function WelcomePage() {
  const frame = useFrameQuery();
  const kitchen = useKitchenQuery();
  const count = useCountQuery();
  const [params, setParams] = useSearchParams();
  if (!frame.data || !kitchen.data || !count.data)
    return <Waiting error={frame.error ?? kitchen.error ?? count.error} refetch={() => void frame.refetch()} />;
  const { setup, today } = frame.data;
  const first = steps.findIndex((s) => s.id === missing(setup)[0]?.id);
  const asked = Number(params.get('step')) - 1;
  // the step stands in the address, so that finishing one does not turn the page under the cook's hands
  if (!steps[asked]) return <Navigate to={`/welcome?step=${Math.max(0, first) + 1}`} replace />;
  const at = asked;
  const go = (step: number): void => {
    setParams({ step: String(step + 1) });
    window.scrollTo(0, 0);
  };
  const step = steps[at] ?? steps[0];
  return (
    <Page maw={980}>
      <Text inherit className="lead">
        Welcome to Tambo. Four short steps; leave any of them and come back.
      </Text>
      <StepShelf at={at} done={steps.map((s) => setup[s.id])} onGo={go} />
      <Title order={1} mt={18} mb={12}>
        {step.title}
      </Title>
      {step.id === 'packs' ? (
        count.data.places.length === 0 ? (
          <Card>
            <Text inherit mb={12}>
              Say first which freezer you have; it takes one tap.
            </Text>
            <Button onClick={() => go(1)}>Back to what you own</Button>
          </Card>
        ) : (
          <Count data={count.data} />
        )
      ) : (
        <Card aria-label={step.title}>
          {step.id === 'eaters' && <WhoEats eaters={kitchen.data.eaters} figures={kitchen.data.figures} />}
          {step.id === 'gear' && <WhatYouOwn kitchen={kitchen.data} />}
          {step.id === 'session' && <FirstSession kitchen={kitchen.data} today={today} />}
        </Card>
      )}
      <Group mt={18}>
        {at > 0 && (
          <Button variant="outline" onClick={() => go(at - 1)}>
            Back
          </Button>
        )}
        <Text className="grow" span inherit />
        <Anchor component={Link} to="/" onClick={() => sessionStorage.setItem('tambo.welcomeLeft', '1')}>
          Leave it for now
        </Anchor>
        {at < steps.length - 1 && (
          // what the step asks for is louder than leaving it out
          <Button size={setup[step.id] ? 'lg' : 'md'} variant={setup[step.id] ? 'filled' : 'outline'} onClick={() => go(at + 1)}>
            {setup[step.id] ? 'Next' : 'Skip this'}
          </Button>
        )}
      </Group>
    </Page>
  );
}
