import { Box, Button, Card, Group, Text } from '@mantine/core';
import { memo, useMemo, useState } from 'react';
import { sayFault, type Help, type Pin } from '#core/cook';
import { sayMinutes } from '#core/kitchen';
import { shortTitle } from '#core/session';
import type { SessionParts } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Either } from '../ui/Either.tsx';
import { Note } from '../ui/Note.tsx';
import { Score } from './Score.tsx';
import { scoreRows, type FoldBy } from './scoreRows.ts';
import { withOrder, type ScoreWork } from './useScore.ts';

/** The score with what can be done to it: closer up, folded by things or dishes, a task moved and let go again. */
export const ScoreCard = memo(function ScoreCard({
  view,
  minute,
  at,
  onMove,
}: {
  view: SessionParts['cook'];
  /** Now, to the minute. */
  minute: string;
  at: (min: number) => string;
  onMove: ScoreWork['move'];
}) {
  const { write } = useCommands();
  const [by, setBy] = useState<FoldBy>('gear');
  const [zoom, setZoom] = useState<'whole' | 'close'>('whole');
  const [refused, setRefused] = useState<string>();
  const rows = useMemo(() => scoreRows(view, minute, by), [view, minute, by]);
  const { session } = view;
  const pinned = session.order?.pinned ?? [];
  const title = (id: string): string => shortTitle(view.tasks.find((t) => t.id === id)?.title ?? id);
  const move = async (to: Pin): Promise<void> => {
    setRefused(undefined);
    const answer = await onMove(to).catch(() => undefined);
    if (!answer) return setRefused('It could not be looked at here just now; it stays where it was.');
    if (answer.ok) {
      const data = withOrder(session, answer.placed ?? [], [...new Set([...pinned, to.taskId])]);
      await write(
        [{ table: 'session', id: session.id, data, was: session }],
        `${title(to.taskId)} stands at ${at(to.startMin)}; the rest moved along, done about ${at(answer.schedule.makespanMin)}`,
      );
      return undefined;
    }
    const names = { task: title, cook: (id: string) => session.cooks.find((k) => k.id === id)?.name ?? 'Nobody', at };
    const why = answer.fault ? sayFault(answer.fault, to.taskId, names) : 'What has begun stays where it is.';
    const nearest = answer.nearestMin === undefined ? '' : ` The nearest it can: ${at(answer.nearestMin)}.`;
    return setRefused(`${title(to.taskId)} cannot stand at ${at(to.startMin)}. ${why}${nearest}`);
  };
  const letGo = (): void => {
    const data = withOrder(session, session.order?.placed ?? [], []);
    void write([{ table: 'session', id: session.id, data, was: session }], 'Nothing is pinned any more');
  };
  if (rows.toMin <= 0) return null;
  return (
    <Card className="noprint" aria-label="Score of the session">
      <Group justify="space-between" mb={6}>
        <Text c="dimmed" size="sm">
          Drag a block to put it elsewhere, or carry it with Space and arrows; the rest moves along.
        </Text>
        <Group gap={14}>
          {pinned.length > 0 && (
            <Button variant="subtle" size="sm" onClick={letGo}>
              Let the pinned go
            </Button>
          )}
          <Either name="Lines below" value={by} ways={{ gear: 'By things', dish: 'By dishes' }} onChange={setBy} />
          <Either name="How close" value={zoom} ways={{ whole: 'Whole', close: 'Closer' }} onChange={setZoom} />
        </Group>
      </Group>
      {refused && (
        <Note tone="warn" role="alert" mb={8} withCloseButton closeButtonLabel="Close" onClose={() => setRefused(undefined)}>
          {refused}
        </Note>
      )}
      <Box tabIndex={0} role="region" aria-label="Score, scrolls sideways" style={{ overflowX: 'auto' }}>
        <Score rows={rows} view={view} at={at} close={zoom === 'close'} onMove={(to) => void move(to)} />
      </Box>
    </Card>
  );
});

const helpers: Readonly<Record<string, string>> = {
  cook: 'One more pair of hands',
  hour: 'An hour more of whoever comes later or goes sooner',
  ice: 'A second ice bath',
  noise: 'No quiet hours',
  hob: 'One more burner',
  pot: 'One more big pot',
  oven: 'One more shelf in the oven',
  processor: 'A second food processor',
  blender: 'A second blender',
};

/** Whether there is a shorter order: looked for when asked, shown while it runs, and taken only when the cook says so. */
export function OrderCard({ view, at, work }: { view: SessionParts['cook']; at: (min: number) => string; work: ScoreWork }) {
  const { write } = useCommands();
  const { session, schedule } = view;
  const { found, better, looking } = work;
  if (!schedule) return null;
  const saves = better ? better.wasMin - better.makespanMin : 0;
  const gap = better && better.boundMin > 0 ? (better.makespanMin - better.boundMin) / better.boundMin : 0;
  const take = async (): Promise<void> => {
    if (!better) return;
    const data = withOrder(session, better.placed, session.order?.pinned ?? []);
    await write(
      [{ table: 'session', id: session.id, data, was: session }],
      `The shorter order is taken, done about ${at(better.makespanMin)}`,
    );
    work.forget();
  };
  return (
    <Card className="noprint" aria-label="Order of work">
      <Group justify="space-between" align="center">
        <Text className="grow" role="status">
          {looking
            ? found
              ? found.makespanMin < found.wasMin
                ? `Found one that is ${sayMinutes(found.wasMin - found.makespanMin)} shorter; looking on.`
                : 'Nothing shorter yet; looking on.'
              : 'Looking for a shorter order.'
            : better
              ? saves > 0
                ? `Better by ${sayMinutes(saves)}: done about ${at(better.makespanMin)}. ${sayClose(gap)}`
                : `No shorter order was found. ${sayClose(gap)}`
              : session.order
                ? 'This order was taken and stands on every page and device.'
                : 'This is a first order. A shorter one may be found in a few seconds.'}
        </Text>
        {looking ? (
          <Button variant="outline" onClick={work.stop}>
            Stop
          </Button>
        ) : better && saves > 0 ? (
          <Group gap={8}>
            <Button variant="outline" onClick={work.forget}>
              Leave it
            </Button>
            <Button onClick={() => void take()}>Take it</Button>
          </Group>
        ) : (
          <Button variant="outline" onClick={work.look}>
            Look for a shorter order
          </Button>
        )}
      </Group>
      {work.problem && (
        <Note tone="bad" role="alert" mt={8}>
          {work.problem}
        </Note>
      )}
      <Group gap={18} mt={8}>
        {work.help ? (
          <Text size="sm" role="status">
            {sayHelp(work.help, session.cleanFirst ?? false)}
          </Text>
        ) : (
          <Button variant="subtle" size="sm" onClick={work.askHelp} disabled={looking}>
            What would help?
          </Button>
        )}
      </Group>
    </Card>
  );
}

/** What one thing more would save, and what the wish for raw last on the boards costs. */
function sayHelp(help: readonly Help[], cleanFirst: boolean): string {
  const more = help.filter((h) => h.savesMin > 0);
  const wish = help.find((h) => h.what === 'cleanFirst');
  const price = wish && -wish.savesMin;
  return [
    ...(more.length === 0
      ? ['Nothing more of anything would save much so far']
      : more.map((h) => `${helpers[h.what] ?? h.what}: ${sayMinutes(h.savesMin)} less`)),
    ...(price === undefined
      ? []
      : [
          `Raw meat and fish last on the boards ${price > 0 ? `${cleanFirst ? 'costs' : 'would cost'} ${sayMinutes(price)}` : `${cleanFirst ? 'costs' : 'would cost'} nothing`}`,
        ]),
  ]
    .map((s) => `${s}.`)
    .join(' ');
}

/** How close an order is to what no order beats. */
const sayClose = (gap: number): string =>
  gap <= 0
    ? 'No order ends sooner.'
    : `Close to the best we can find: at most ${Math.max(1, Math.round(gap * 100))} in a hundred could still be saved.`;
