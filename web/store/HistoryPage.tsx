import { Anchor, Box, Button, Card, Group, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clockOf, dayOf, sayWeekday } from '#core/kitchen';
import type { HistoryAnswer } from '#core/queries';
import { useFrameQuery, useHistoryQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import type { UndoWay } from '../sync/toastSlice.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { Rows } from '../ui/Rows.tsx';

/** Entries brought in at a time, and the most that are. */
const step = 120;
const most = 500;

type Entry = HistoryAnswer['entries'][number];

/** What taking an entry back sends, or bringing it back: of one that gathers others, of all of them. */
function wayOf(entry: Entry): UndoWay {
  const seen = (e: Entry) => (e.seen === undefined ? {} : { seen: e.seen });
  return entry.type === 'event'
    ? { kind: 'events', events: (entry.within ?? [entry]).map((e) => ({ id: e.undoneBy ?? e.id, subjects: e.subjects, ...seen(e) })) }
    : { kind: 'write', writeId: entry.undoneBy ?? entry.id, ...seen(entry) };
}

/** One entry; one that gathers others opens. */
function EntryRow({ entry, zone }: { entry: Entry; zone: string }) {
  const { undo } = useCommands();
  const [open, setOpen] = useState(false);
  // who came in and who was put out is told, and cannot be taken back
  const can = entry.type !== 'door' && (entry.undone ? entry.undoneBy !== undefined : true);
  const act = entry.undone ? 'Bring back' : 'Take back';
  return (
    <>
      <li style={entry.undone ? { textDecoration: 'line-through', color: 'var(--quiet)' } : undefined}>
        <Text span size="xs" c="dimmed" w={150}>
          {sayWeekday(dayOf(entry.at, zone))} {clockOf(entry.at, zone)}
        </Text>
        <Box className="grow">{entry.says}</Box>
        {entry.within && !entry.whole && (
          <Anchor
            component="button"
            size="xs"
            type="button"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            aria-label={`What: ${entry.says}`}
          >
            {open ? 'close' : 'what'}
          </Anchor>
        )}
        {can && (
          <Anchor component="button" size="xs" type="button" aria-label={`${act}: ${entry.says}`} onClick={() => void undo(wayOf(entry))}>
            {act.toLowerCase()}
          </Anchor>
        )}
      </li>
      {open && entry.within?.map((e) => <EntryRow key={e.id} entry={e} zone={zone} />)}
    </>
  );
}

/** Everything logged and changed, the newest first; each can be taken back, and what was taken back can be brought back. */
export function HistoryPage() {
  const [limit, setLimit] = useState(step);
  const { data, error, refetch } = useHistoryQuery(limit);
  const frame = useFrameQuery().data;
  const [q, setQ] = useState('');
  const [type, setType] = useState<Entry['type']>();
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const shown = data.entries.filter((e) => (!type || e.type === type) && e.says.toLowerCase().includes(q.toLowerCase()));
  return (
    <Page>
      <PageHead title="History" lead="What was logged and changed lately. Nothing is overwritten: taking back is a new entry.">
        <TextInput
          type="search"
          placeholder="Find in history"
          aria-label="Find in history"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
        <Group gap={8} className="chips" role="group" aria-label="What kind">
          {(
            [
              ['event', 'logged'],
              ['change', 'changed'],
              ['door', 'at the door'],
            ] as const
          ).map(([id, name]) => (
            <Button variant="chip" key={id} aria-pressed={type === id} onClick={() => setType(type === id ? undefined : id)}>
              {name}
            </Button>
          ))}
        </Group>
      </PageHead>
      {shown.length === 0 ? (
        <Empty
          title={data.entries.length === 0 ? 'Nothing yet' : 'Nothing of that kind'}
          text={
            data.entries.length === 0
              ? 'Once something is logged or changed, it stands here and can be taken back.'
              : 'Nothing lately matches. Try fewer letters, or show older entries.'
          }
        />
      ) : (
        <Card aria-label="Entries">
          <Rows>
            {shown.map((e) => (
              <EntryRow key={e.id} entry={e} zone={zone} />
            ))}
          </Rows>
          {data.entries.length >= limit && limit < most && (
            <Button variant="outline" mt={12} onClick={() => setLimit(Math.min(most, limit + step))}>
              Show older
            </Button>
          )}
        </Card>
      )}
    </Page>
  );
}
