import { Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { memo, useMemo } from 'react';
import { capital, sayMinutes, type IngredientFinder } from '#core/kitchen';
import { methodAsks, methodFindings, type MethodFinding } from '#core/recipe';
import { Rows } from '../../ui/Rows.tsx';
import { stepName } from './sayStep.ts';
import type { Method } from './useMethod.ts';

/** At most three questions whose answer changes the plan; each has a guess that stands until it is answered. */
export const MethodAsks = memo(function MethodAsks({ method }: { method: Method }) {
  const { steps, lines, acts } = method;
  const asks = useMemo(() => methodAsks(steps, lines), [steps, lines]);
  if (asks.length === 0) return null;
  const nameOf = (id: string): string => {
    const i = steps.findIndex((s) => s.id === id);
    return i < 0 ? '' : stepName(steps[i]!, i);
  };
  return (
    <Card aria-label="To ask of the method" data-tone="saffron">
      <Title order={2}>{asks.length === 1 ? 'One question of the method' : `${asks.length} questions of the method`}</Title>
      <Rows>
        {asks.map((a) => (
          <li key={`${a.ask} ${a.ask === 'whereTo' ? a.line.id : a.stepId}`} data-top>
            <Stack gap={6} className="grow">
              {a.ask === 'whereTo' && (
                <>
                  <span>
                    <b>{capital(a.line.name)}</b> goes in with
                  </span>
                  <Group gap={6}>
                    {a.options.map((id) => (
                      <Button key={id} size="sm" variant={id === a.guess ? 'filled' : 'outline'} onClick={() => acts.put(a.line.id, id)}>
                        {nameOf(id)}
                      </Button>
                    ))}
                  </Group>
                </>
              )}
              {a.ask === 'wait' && (
                <>
                  <span>
                    How long does <b>{nameOf(a.stepId)}</b> take by itself?
                  </span>
                  <Group gap={6}>
                    {a.options.map((m) => (
                      <Button
                        key={m}
                        size="sm"
                        variant={m === a.guess ? 'filled' : 'outline'}
                        onClick={() => {
                          const step = steps.find((s) => s.id === a.stepId);
                          if (step) acts.say(step, { waitMin: m });
                        }}
                      >
                        {sayMinutes(m)}
                      </Button>
                    ))}
                  </Group>
                </>
              )}
              {a.ask === 'oven' && (
                <>
                  <span>
                    How hot is the oven for <b>{nameOf(a.stepId)}</b>?
                  </span>
                  <Group gap={6}>
                    {a.options.map((t) => (
                      <Button
                        key={t}
                        size="sm"
                        variant={t === a.guess ? 'filled' : 'outline'}
                        onClick={() => {
                          const step = steps.find((s) => s.id === a.stepId);
                          if (step) acts.say(step, { needs: [...step.needs.filter((n) => n.kind !== 'oven'), { kind: 'oven', tempC: t }] });
                        }}
                      >
                        {t} °C
                      </Button>
                    ))}
                  </Group>
                </>
              )}
            </Stack>
          </li>
        ))}
      </Rows>
    </Card>
  );
});

const key = (f: MethodFinding): string =>
  `${f.finding} ${'line' in f ? f.line.id : ''} ${'name' in f ? f.name : ''} ${'step' in f ? f.step : ''}`;

/** What method and list leave open against each other, each with one tap to mend. */
export const MethodFindings = memo(function MethodFindings({
  method,
  finder,
  onAmount,
}: {
  method: Method;
  finder: IngredientFinder;
  /** Takes the amount that the method says for a line. */
  onAmount: (lineId: string, amount: string) => void;
}) {
  const { steps, unbound, acts } = method;
  const read = method.understood;
  const found = useMemo(() => (read ? methodFindings(read, finder).filter((f) => f.finding !== 'unused') : []), [read, finder]);
  const faults = found.filter((f) => !f.offer);
  // water comes from the tap
  const offers = found.filter((f) => f.offer && !(f.finding === 'unlisted' && /\bwater\b/i.test(f.name)));
  const asked = new Set(methodAsks(steps, method.lines).flatMap((a) => (a.ask === 'whereTo' ? [a.line.id] : [])));
  const told = unbound.filter((l) => !asked.has(l.id));
  if (told.length + faults.length + offers.length === 0) return null;
  const nameOf = (n: number): string => (steps[n] ? stepName(steps[n], n) : `step ${n + 1}`);
  const home = steps.findLastIndex(
    (s) => s.moment === undefined && s.kind !== 'cool' && s.kind !== 'freeze' && s.kind !== 'fill' && s.kind !== 'preheat',
  );
  return (
    <Card aria-label="Before you trust it">
      <Title order={2}>Before you trust it</Title>
      <Rows>
        {told.slice(0, 6).map((line) => (
          <li key={line.id} data-top>
            <Box className="grow">
              <b>{capital(line.name)}</b> is listed, no step takes it.
            </Box>
            {steps[home] && (
              <Button size="sm" variant="outline" onClick={() => acts.put(line.id, steps[home]!.id)}>
                Into step {home + 1}
              </Button>
            )}
          </li>
        ))}
        {faults.concat(offers).map((f) => (
          <li key={key(f)} data-top>
            {f.finding === 'unlisted' && (
              <>
                <Box className="grow">
                  <b>{capital(f.name)}</b> goes into {nameOf(f.step)} and is listed nowhere
                  {f.offer ? ', if you want it weighed and bought' : ''}.
                </Box>
                <Button size="sm" variant="outline" onClick={() => acts.list(`${f.amount ? `${f.amount} ` : ''}${f.name}`)}>
                  List {f.amount ? `${f.amount} ` : 'it'}
                </Button>
              </>
            )}
            {f.finding === 'twice' && (
              <>
                <Box className="grow">
                  <b>{capital(f.line.name)}</b>: the list says {f.first}, the method {f.second}.
                </Box>
                <Button size="sm" variant="outline" onClick={() => onAmount(f.line.id, f.second)}>
                  {f.second} it is
                </Button>
              </>
            )}
            {f.finding === 'sharesOver' && (
              <>
                <Box className="grow">
                  <b>{capital(f.line.name)}</b>: the steps take {Math.round(f.total * 100)} % of what is listed; they are held to all of it.
                </Box>
              </>
            )}
            {f.finding === 'circle' && (
              <Box className="grow">
                {f.steps.map(nameOf).join(' and ')} each need the other first. The order of the text stands for them.
              </Box>
            )}
          </li>
        ))}
      </Rows>
      {unbound.length + faults.length > 0 && (
        <Text size="sm" c="dimmed" mt={6}>
          It can be planned as it is; its schedule is a guess then.
        </Text>
      )}
    </Card>
  );
});
