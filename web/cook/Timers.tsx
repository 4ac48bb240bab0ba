import { Box, Button, Card, Text, Title } from '@mantine/core';
import { addMinutes, clockOf, dayOf, minutesBetween, sayMinutes, sayNear } from '#core/kitchen';
import { leftOf, type TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { Why } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { kindOf } from './words.ts';
import { useTaskActions } from './taskActions.ts';
import { Rows } from '../ui/Rows.tsx';

/** Today by the clock; another day by its name. */
const sayUntil = (end: string, now: string, zone: string): string =>
  dayOf(end, zone) === dayOf(now, zone)
    ? `until ${clockOf(end, zone)}`
    : `until ${sayNear(dayOf(end, zone), dayOf(now, zone))} ${clockOf(end, zone)}`;

export function Timers({
  view,
  running,
  now,
  zone,
  actions,
}: {
  view: SessionParts['cook'];
  running: TaskView[];
  now: string;
  zone: string;
  actions: ReturnType<typeof useTaskActions>;
}) {
  if (running.length === 0 && view.cooling.length === 0) return null;
  return (
    <Card aria-label="Running">
      <Title order={2}>On the clock</Title>
      <Rows>
        {running.map((t) => {
          const left = leftOf(t, now);
          return (
            <li key={t.id}>
              <KindMark kind={kindOf(view, t)} size={26} />
              <Box className="grow">
                <Text component="div" inherit fw={700}>
                  {t.title}
                </Text>
                <Text component="div" size="xs" c="dimmed">
                  {left <= 0 ? `look now${t.cue ? `: ${t.cue}` : ''}` : sayUntil(addMinutes(now, left), now, zone)}
                </Text>
              </Box>
              <Text span variant="mid" style={left <= 0 ? { color: 'var(--tomato)' } : undefined}>
                {left <= 0 ? 'now' : sayMinutes(Math.max(1, left))}
              </Text>
              <Button variant="outline" size="sm" onClick={() => actions.done(t)}>
                Done
              </Button>
            </li>
          );
        })}
        {view.cooling.map((c) => {
          const left = minutesBetween(now, c.stage === 'to21' ? c.under21By : c.under5By);
          return (
            <li key={c.batchId}>
              <Box className="grow">
                <Text component="div" inherit fw={700}>
                  {c.name} cools
                </Text>
                <Text component="div" size="xs" c="dimmed">
                  {c.stage === 'to21'
                    ? `under 21 °C by ${clockOf(c.under21By, zone)}, then under 5 °C by ${clockOf(c.under5By, zone)}`
                    : c.stage === 'to5'
                      ? `under 5 °C by ${clockOf(c.under5By, zone)}`
                      : 'both limits have passed: if it never got cold, do not keep it'}
                </Text>
              </Box>
              <Text span variant="mid" style={left < 30 ? { color: 'var(--tomato)' } : undefined}>
                {c.stage === 'over' ? 'past' : sayMinutes(left)}
              </Text>
              <Why label="the cooling clock">
                Off the heat at {clockOf(c.offHeat, zone)}. Usual limits: 2 h to 21 °C, 4 h more to 5 °C ({c.source}). FSA asks for the
                fridge within 1 to 2 h. Ice, or shallow boxes, bring it there. Local rules come first.
              </Why>
            </li>
          );
        })}
      </Rows>
    </Card>
  );
}
