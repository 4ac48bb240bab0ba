import { Anchor, Box, Button, Card, Group, Input, Stack, Text, TextInput, Title } from '@mantine/core';
import { useRef, useState } from 'react';
import { fillPack, putAway } from '#core/commands';
import { intentId } from '#core/contract';
import { countOf, sayDayYear, sayPortions } from '#core/kitchen';
import { countedPacks, portionName } from '#core/session';
import { type CountAnswer } from '#core/queries';
import { countLine, sayVague, type CountedLine } from '#core/store';
import { takeCodes } from '../sync/codes.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import type { UndoWay } from '../sync/toastSlice.ts';
import { Why } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';
import { useDraft, type DraftRun } from '../sync/useDraft.ts';

interface Entered {
  id: string;
  line: CountedLine;
  codes: string[];
  packIds: string[];
  undo: UndoWay;
}

const guessWords: Readonly<Record<CountedLine['guess'], string>> = {
  recipe: 'A dish of yours: its portion and storage life are taken.',
  word: 'Kind and size are a kitchen estimate by its name.',
  kind: 'No word of it is known, so it is taken for a meal. Say the kind first to change that: “base ...”, “puree ...”, “kit ...”.',
};

/** A kit is a dinner when it is a whole dish; plain raw meat is a part of one. The likelier answer is set. */
function WholeDish({ whole, onWhole }: { whole: boolean; onWhole: (whole: boolean) => void }) {
  return (
    <Group gap={8} mt={8} className="chips" role="group" aria-label="Is this kit a whole dish?">
      <Button variant="chip" aria-pressed={whole} onClick={() => onWhole(true)}>
        a whole dish: counts as dinners
      </Button>
      <Button variant="chip" aria-pressed={!whole} onClick={() => onWhole(false)}>
        a part of one, such as raw mince
      </Button>
    </Group>
  );
}

function Understood({ line, data, onWhole }: { line: CountedLine; data: CountAnswer; onWhole: (whole: boolean) => void }) {
  const place = data.places.find((p) => p.id === line.placeId);
  const zone = place?.zones.find((z) => z.id === line.zoneId);
  const made = countedPacks(line, ['-----'], 'preview', new Map(data.lives.map((l) => [l.id, l])), data.household, data.today);
  const pack = made.ok ? made.packs[0] : undefined;
  return (
    <Note style={{ alignItems: 'flex-start' }}>
      <Group wrap="nowrap">
        <KindMark kind={line.kind} size={30} />
        <Box className="grow">
          <Text component="b" fz={18}>
            {countOf(line.packs, 'pack')} of {line.name}
          </Text>
          <div>
            {sayPortions(line.portionsEach)} {portionName(line.kind, line.portionsEach)} each, {line.kind}; made{' '}
            {line.made ? sayVague(line.made) : 'at a time not known'};{' '}
            {place ? (
              `${place.name}, ${zone?.name ?? ''}`
            ) : (
              <Text span inherit c="var(--tomato)">
                where does it stand?
              </Text>
            )}
          </div>
          <Text component="div" c="dimmed" fz={15}>
            {pack && pack.bestBy === undefined ? (
              <>Without a date it has no best-by: it comes before all that is dated. Say about when, such as “oct”, if anybody remembers.</>
            ) : pack?.bestBy !== undefined ? (
              <>
                {pack.bestBy < data.today ? 'was best by' : 'best by'} {sayDayYear(pack.bestBy)}{' '}
                <Why label={`best by ${sayDayYear(pack.bestBy)}`}>
                  {countOf(pack.life.months, 'month')} for {line.name.toLowerCase()} ({pack.life.source}), counted from the earliest day it
                  may have been made. At a steady −18 °C this date is about quality. {guessWords[line.guess]}
                </Why>
              </>
            ) : (
              <Text span inherit c="var(--tomato)">
                {made.ok ? '' : made.why}
              </Text>
            )}
          </Text>
          {line.kind === 'kit' && <WholeDish whole={line.whole ?? true} onWhole={onWhole} />}
        </Box>
      </Group>
    </Note>
  );
}

/** A count that is going on: the line as it is typed, and those that were counted, the newest first. */
interface Counting {
  text: string;
  /** What the cook said of a kit, over what its name makes likely. */
  whole?: boolean;
  entered: Entered[];
}

const nothing: Counting = { text: '', entered: [] };
const readCounting = (kept: unknown): Counting | undefined =>
  typeof kept === 'object' && kept !== null && 'text' in kept && typeof kept.text === 'string'
    ? { entered: [], ...(kept as { text: string; whole?: boolean; entered?: Entered[] }) }
    : undefined;
const countingName = ({ text, entered }: Counting): string =>
  text.trim() || (entered.length > 0 ? `A count, ${countOf(entered.length, 'line')} so far` : 'A line of the count');

/** A freezer that is already full, a line a kind, by keyboard: what was understood stands below before it is kept; closed half-way, the count goes on where it was. */
export function Count({ data }: { data: CountAnswer }) {
  const typed = useDraft({ kind: 'count', key: 'count', name: countingName, path: '/store/count', initial: nothing, read: readCounting });
  return typed && <Lines data={data} typed={typed} />;
}

/** The field, what was understood of it, and the lines counted so far. */
function Lines({ data, typed }: { data: CountAnswer; typed: DraftRun<Counting> }) {
  const { log, undo } = useCommands();
  const field = useRef<HTMLInputElement>(null);
  const { text, whole, entered } = typed.value;
  /** What stands now: lines are kept one after another, each a moment after it was entered. */
  const now = useRef(typed.value);
  now.current = typed.value;
  const put = (part: Partial<Counting>, field?: string): void => {
    now.current = { ...now.current, ...part };
    typed.edit(now.current, field);
  };
  const [problem, setProblem] = useState<string>();
  const [draft, setDraft] = useState(newId);
  const last = entered[0]?.line;
  const place = last?.placeId && last.zoneId ? { placeId: last.placeId, zoneId: last.zoneId } : undefined;
  const read = countLine(text, {
    today: data.today,
    locale: data.household.locale,
    places: data.places,
    dishes: data.dishes,
    ...(place && { place }),
  });
  const line: CountedLine | undefined = read.ok
    ? { ...read.line, ...(read.line.kind === 'kit' && whole !== undefined && { whole }) }
    : undefined;
  const keep = async (): Promise<void> => {
    if (!line) return setProblem(read.ok ? undefined : read.why);
    const { placeId, zoneId } = line;
    if (!placeId || !zoneId)
      return setProblem('Where does it stand? Add the freezer or the basket, such as “shed left”; later lines keep to it.');
    // the field is free for the next line at once: what is typed meanwhile must not be wiped away
    const { whole: _whole, ...rest } = now.current;
    now.current = rest;
    put({ text: '' });
    // and the same line entered again later is meant as another one
    setDraft(newId());
    const back = (why: string): void => {
      if (field.current?.value === '') put({ text }, 'text');
      setProblem(why);
    };
    const codes = await takeCodes(data.storeId, line.packs);
    if (!codes) return back('No codes are left on this device and Tambo does not answer. The line is kept in the field; try again.');
    const made = countedPacks(line, codes, intentId(draft, 'lot'), new Map(data.lives.map((l) => [l.id, l])), data.household, data.today);
    if (!made.ok) return back(made.why);
    const packIds = codes.map((_, i) => intentId(draft, 'pack', String(i)));
    const acts = made.packs.flatMap((data_, i) => {
      const pack = { packId: packIds[i] ?? '', seen: draft };
      return [fillPack(pack, data_), ...putAway([pack], { placeId, zoneId })];
    });
    setProblem(undefined);
    const stamped = await log(acts, `${countOf(line.packs, 'pack')} of ${line.name}`);
    const way: UndoWay = { kind: 'events', events: stamped.map((e) => ({ id: e.id, subjects: e.subjects })) };
    put({ entered: [{ id: newId(), line, codes, packIds, undo: way }, ...now.current.entered] });
    field.current?.focus();
  };
  const take = async (e: Entered): Promise<void> => {
    put({ entered: now.current.entered.filter((x) => x.id !== e.id) });
    await undo(e.undo);
    field.current?.focus();
  };
  const packs = entered.reduce((s, e) => s + e.line.packs, 0);
  return (
    <Stack>
      <Card aria-label="Enter a line">
        <Input.Label htmlFor="countline">What it is, how many, about when, where</Input.Label>
        <Group
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            void keep();
          }}
        >
          <TextInput
            flex={{ base: '1 0 100%', sm: 1 }}
            size="lg"
            id="countline"
            ref={field}
            autoFocus
            autoComplete="off"
            enterKeyHint="done"
            placeholder={`stew 4 oct ${data.places[0]?.name.toLowerCase().split(' ')[0] ?? 'freezer'}`}
            aria-describedby="counthelp"
            value={text}
            onChange={(e) => {
              put({ text: e.currentTarget.value }, 'text');
              setProblem(undefined);
            }}
          />
          <Button size="lg" type="submit">
            Keep it
          </Button>
        </Group>
        <Box mt={10} mih={92} aria-live="polite">
          {problem ? (
            <Note tone="bad" role="alert">
              {problem}
            </Note>
          ) : line ? (
            <Understood line={line} data={data} onWhole={(is) => put({ whole: is })} />
          ) : (
            <Text inherit c="dimmed" id="counthelp">
              {text.trim() === '' || read.ok
                ? 'Enter keeps a line. “4x2” is four packs of two portions; “?” is a date nobody knows; “3 weeks ago” and “last spring” are fine. The place stays until you say another; first letters do.'
                : read.why}
            </Text>
          )}
        </Box>
      </Card>
      {entered.length > 0 && (
        <Card aria-label="Counted">
          <Group justify="space-between" align="baseline" mb={8}>
            <Title order={2}>
              {countOf(packs, 'pack')} counted, {countOf(entered.length, 'line')}
            </Title>
            <Button
              component="a"
              variant="outline"
              size="sm"
              href={`/api/labels.pdf?packs=${entered.flatMap((e) => e.packIds).join(',')}&start=1`}
              target="_blank"
              rel="noreferrer"
            >
              Print their labels
            </Button>
            <Button size="sm" onClick={typed.drop}>
              The count is done
            </Button>
          </Group>
          <Text c="dimmed" fz={15}>
            Codes can be written on lids with a marker, now or when a pack comes out; or print labels.
          </Text>
          <Rows>
            {entered.map((e) => (
              <li key={e.id}>
                <KindMark kind={e.line.kind} size={24} />
                <Box className="grow">
                  <b>
                    {countOf(e.line.packs, 'pack')} of {e.line.name}
                  </b>
                  <Text component="div" size="xs" c="dimmed">
                    {e.codes.join(', ')}; {e.line.made ? sayVague(e.line.made) : 'date not known'},{' '}
                    {data.places.flatMap((p) => p.zones).find((z) => z.id === e.line.zoneId)?.name}
                  </Text>
                </Box>
                <Anchor component="button" size="xs" type="button" aria-label={`Take back ${e.line.name}`} onClick={() => void take(e)}>
                  take back
                </Anchor>
              </li>
            ))}
          </Rows>
        </Card>
      )}
    </Stack>
  );
}
