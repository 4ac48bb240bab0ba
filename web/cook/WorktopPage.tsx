import { SimpleGrid, Text, UnstyledButton, VisuallyHidden } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { addMinutes, clockOf, sayMinutes } from '#core/kitchen';
import { cooksNow, timersNow } from '#core/session';
import { useFrameQuery } from '../sync/api.ts';
import { useSessionCook } from '../sync/session.ts';
import { useNow } from '../sync/clock.ts';
import { Columns } from '../ui/Columns.tsx';
import c from './Worktop.module.css';
import Notices from '../frame/Notices.tsx';
import { Waiting } from '../ui/ui.tsx';
import { useWakeLock } from '../ui/useWakeLock.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Bench } from './Bench.tsx';
import { DoneEarly } from './DoneEarly.tsx';
import { TakenBack } from './TakenBack.tsx';
import { useAlarms } from './useAlarms.ts';
import { useTaskActions } from './taskActions.ts';

/** Benches that fit side by side at arm's length. */
const side = 2;
/** Clocks that can be read from two metres on one row. */
const clocksShown = 3;

/** The worktop: two cooks side by side at arm's length, every running clock readable from two metres and spoken by name. */
export function WorktopPage() {
  const { id = '' } = useParams();
  const { data: view, error, refetch } = useSessionCook(id, { pollingInterval: 10_000 });
  const frame = useFrameQuery(undefined, { pollingInterval: 10_000 }).data;
  const now = useNow(1000);
  const actions = useTaskActions(id);
  const [free, setFree] = useState<ReadonlySet<string>>(new Set());
  const timers = view ? timersNow(view, now) : [];
  const alarms = useAlarms(timers);
  const awake = useWakeLock(true);
  if (!view || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const cooks = cooksNow(view, now, free);
  // at the worktop stand those who have something in hand first
  const shown =
    cooks.length <= side ? cooks : cooks.toSorted((a, b) => Number(b.task !== undefined) - Number(a.task !== undefined)).slice(0, side);
  const doneAt = view.schedule ? clockOf(addMinutes(now, view.schedule.makespanMin), zone) : undefined;
  return (
    <div className={c.worktop}>
      <DoneEarly actions={actions} now={now} />
      <VisuallyHidden component="h1">Worktop: {view.session.name}</VisuallyHidden>
      <SimpleGrid component="main" cols={{ base: 1, sm: shown.length }} spacing={0} mih={0}>
        {shown.map((cook) => (
          <Bench
            key={cook.cookId}
            view={view}
            cook={cook}
            now={now}
            zone={zone}
            others={view.session.cooks.filter((x) => x.id !== cook.cookId).slice(0, 1)}
            actions={actions}
            onFree={(taskId) => setFree(new Set([...free, taskId]))}
          />
        ))}
      </SimpleGrid>
      <footer className={c.clocks} aria-label="Running clocks">
        <Columns component="ul" fit least={190} gap={0}>
          {timers.slice(0, clocksShown).map((t) => {
            const up = t.leftMin <= 0;
            return (
              <li key={t.id} data-up={up || undefined}>
                <div>
                  <KindMark kind={t.kind} size={24} color="currentColor" /> {t.name}
                </div>
                <b>{up ? (t.limit ? 'past' : 'look') : sayMinutes(Math.max(1, t.leftMin))}</b>
              </li>
            );
          })}
          {timers.length > clocksShown && (
            <li>
              <div>and {timers.length - clocksShown} more</div>
              <b>{sayMinutes(Math.max(1, timers[clocksShown]?.leftMin ?? 0))}</b>
            </li>
          )}
          {doneAt && (
            <li>
              <div>done about</div>
              <b>{doneAt}</b>
            </li>
          )}
        </Columns>
        <Columns fit least={200} gap={12}>
          {alarms.ringing && (
            <UnstyledButton className={c.clockact} data-loud onClick={() => alarms.ringing && alarms.quiet(alarms.ringing.id)}>
              Quiet the alarm: {alarms.ringing.dish}
            </UnstyledButton>
          )}
          {(!alarms.ringing || !alarms.sound) && (
            <UnstyledButton
              className={c.clockact}
              data-loud={!(alarms.sound || alarms.ringing) || undefined}
              aria-pressed={alarms.sound}
              onClick={() => alarms.setSound(!alarms.sound)}
            >
              {alarms.sound ? 'Alarms are on' : 'Turn alarms on'}
            </UnstyledButton>
          )}
          <TakenBack tasks={view.tasks} actions={actions} className={c.clockact} />
          <Link className={c.clockact} to={`/pack/${id}`}>
            Weigh and pack
          </Link>
          <Link className={c.clockact} to={`/cook/${id}`}>
            Leave the worktop
          </Link>
        </Columns>
        {awake === 'notHere' && (
          <Text inherit mt={10} c="var(--rail-ink)">
            This browser lets the screen sleep: set the tablet to stay on while you cook.
          </Text>
        )}
      </footer>
      <Notices />
    </div>
  );
}
