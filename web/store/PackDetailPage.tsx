import { Anchor, Box, Button, Card, Group, NativeSelect, Stack, Text, Title } from '@mantine/core';
import { Link, useParams, useSearchParams } from 'react-router';
import { markLabelled, planFor, putAway, takeOut, wash } from '#core/commands';
import { addDays, clockOf, countOf, dayOf, listOf, sayDayYear, sayNear, sayPortions, sayWeekday } from '#core/kitchen';
import { portionName, sayUndated } from '#core/session';
import { sayVague, thawHoursOf } from '#core/store';
import { sayError, useFrameQuery, usePackQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Cautions, DueTag, NotFor, PageHead, Waiting, Why, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { LabelDrawings } from '../pack/LabelDrawings.tsx';
import { previewOf } from '../pack/usePreview.ts';
import { ColdLine, pullFor } from './ColdLine.tsx';
import { GoesCard } from './GoesCard.tsx';
import { HeatCard } from './HeatCard.tsx';
import { LotCard } from './LotCard.tsx';
import { SpotSelect } from '../ui/SpotSelect.tsx';
import { placeName } from '../ui/packWords.ts';
import { useMeasures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';
import { Note } from '../ui/Note.tsx';
import { Columns } from '../ui/Columns.tsx';
import { aside } from '../ui/aside.tsx';

/** A code that matches no pack: what was typed stays, near ones are offered. */
function NoPack({ typed, error }: { typed: string; error: unknown }) {
  const said = sayError(error);
  const offers = said.refusals.map((r) => r.expected).filter((e) => /^[2-9A-Z]{5}$/.test(e));
  return (
    <Page>
      <Card component="div" ta="center" px={20} py={34}>
        <Title order={1}>No pack “{typed}”</Title>
        <p role="alert">{said.message}</p>
        <Group justify="center">
          {offers.map((o) => (
            <Button component={Link} key={o} to={`/p/${o}`}>
              {o}
            </Button>
          ))}
          <Button component={Link} variant="outline" to="/store">
            Look in the store
          </Button>
        </Group>
      </Card>
    </Page>
  );
}

const RepackPack = aside(() => import('./RepackPack.tsx'));
const CorrectPack = aside(() => import('./CorrectPack.tsx'));

/** One pack: what it is, what can be done with it, its label and its story. */
export function PackDetailPage() {
  const { sayMass } = useMeasures();
  const { code = '' } = useParams();
  const { data, error, isFetching, refetch } = usePackQuery(code);
  const frame = useFrameQuery().data;
  const { log, undo } = useCommands();
  const [params, setParams] = useSearchParams();
  const sheet = (name?: 'correct' | 'repack'): void => setParams(name ? { [name]: '1' } : {}, { replace: true });
  if (error && 'status' in error && error.status === 404 && !isFetching) return <NoPack typed={code} error={error} />;
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const { pack, brief, container } = data;
  const zone = frame.household.timeZone;
  const label = previewOf(data.label, frame.household.address ?? '');
  const empty = brief.status === 'empty';
  const thaw = thawHoursOf(pack);
  const evenings = Array.from({ length: 9 }, (_, i) => addDays(frame.today, i));
  return (
    <Page>
      <PageHead
        title={
          <Group wrap="nowrap" component="span" gap={14}>
            <KindMark kind={pack.kind} size={38} alone />
            {pack.name}
          </Group>
        }
        lead={`${pack.code}, pack ${pack.nOf.n} of ${pack.nOf.of}, ${pack.made ? `made ${sayVague(pack.made)}` : sayUndated(pack.foundOn).toLowerCase()}. ${empty ? `Empty: ${pack.ended?.how ?? 'eaten'}.` : `${brief.status === 'fridge' ? (brief.cold === 'thawing' ? 'Thawing' : 'In the fridge') : placeName(data.places, pack)}.`}`}
      >
        <Button variant="outline" onClick={() => sheet('correct')}>
          Correct it
        </Button>
        {!empty && (
          <Button component={Link} to={`/eat?log=${pack.packId}`}>
            Eaten
          </Button>
        )}
      </PageHead>
      {!empty && <NotFor says={brief.notFor} />}
      {params.has('correct') && <CorrectPack data={data} onClose={() => sheet()} />}
      {params.has('repack') && !empty && <RepackPack data={data} onClose={() => sheet()} />}
      <Columns parts={[1.2, '420px']} align="start">
        <Stack>
          <Card aria-label="What it is">
            <Group gap={28} align="flex-end">
              <div>
                <Text span variant="big">
                  {sayPortions(pack.left)}
                </Text>
                <Text span variant="unit">
                  {portionName(pack.kind, pack.left)} of {sayPortions(pack.portions)}
                </Text>
              </div>
              <div>
                <Text span variant="mid">
                  {sayMass(Math.round(pack.massG * (pack.portions > 0 ? pack.left / pack.portions : 0)))}
                </Text>
                <Text span variant="unit">
                  {brief.contents} when full{container ? `, ${container.name}` : ''}
                </Text>
              </div>
              <Group wrap="nowrap" gap={8}>
                {brief.due.day !== undefined && (
                  <span>
                    {brief.due.reason === 'bestBy' ? 'best by' : 'eat by'} <b>{sayDayYear(brief.due.day)}</b>
                  </span>
                )}
                {!empty && <DueTag due={brief.due} />}
                <Why label="this date">
                  {brief.due.reason === 'undated'
                    ? 'Nobody knows when it was made, so nothing is counted from it: it comes before all that is dated. '
                    : brief.due.reason === 'thaw'
                      ? `It thaws in ${thaw.low} to ${thaw.high} hours; the time it keeps once thawed counts from the short end. `
                      : brief.due.reason === 'fridge'
                        ? `In the fridge since ${pack.fridgeSince ? `${sayWeekday(dayOf(pack.fridgeSince, zone))} ${clockOf(pack.fridgeSince, zone)}` : ''}: ${countOf(pack.life.fridgeDays, 'day')} for ${pack.life.part}. `
                        : `${countOf(pack.life.months, 'month')} from the day it was made${pack.life.part === pack.name ? '' : `, because of the ${pack.life.part}`}; at most to ${pack.limit ? sayDayYear(pack.limit) : ''}. The date is printed once and does not move. `}
                  Source: {pack.life.source}.
                </Why>
              </Group>
            </Group>
            <Rows mt={10}>
              {data.allergens.map((a) => (
                <li key={a}>
                  <Box className="grow">{a}</Box>
                </li>
              ))}
              {data.label.cautions.map((c) => (
                <li key={c}>
                  <Text className="grow" component="b" inherit>
                    {c}
                  </Text>
                </li>
              ))}
              {pack.addOnDay.length > 0 && (
                <li>
                  <Box className="grow">
                    Add on the day:{' '}
                    {listOf(pack.addOnDay.map((name, i) => (pack.addAmounts?.[i] ? `${pack.addAmounts[i]} ${name}` : name)))}
                  </Box>
                </li>
              )}
            </Rows>
            <ColdLine pack={brief} today={frame.today} />
          </Card>
          {!empty && <HeatCard heat={data.heat} pack={pack} />}
          {!empty && (
            <Card aria-label="Do something with it">
              <Title order={2}>With this pack</Title>
              <Group>
                <Group wrap="nowrap" component="label" gap={8}>
                  For{' '}
                  <NativeSelect
                    aria-label="Evening"
                    value={pack.planned?.day ?? ''}
                    onChange={(e) => {
                      const day = e.currentTarget.value;
                      void log(
                        planFor([brief], day),
                        day ? `${pack.name} is planned for ${sayNear(day, frame.today)}` : `${pack.name} is no longer planned`,
                      );
                    }}
                  >
                    <option value="">no evening yet</option>
                    {evenings.map((d) => (
                      <option key={d} value={d}>
                        {sayNear(d, frame.today)}
                      </option>
                    ))}
                    {pack.planned && !evenings.includes(pack.planned.day) && (
                      <option value={pack.planned.day}>{sayWeekday(pack.planned.day)}</option>
                    )}
                  </NativeSelect>
                </Group>
                {brief.status !== 'fridge' && (
                  <Button
                    variant="outline"
                    onClick={() =>
                      void log(
                        takeOut([brief], pullFor(brief)),
                        `${pack.name} is in the fridge, for ${sayNear(pullFor(brief), frame.today)}`,
                      )
                    }
                  >
                    Take out
                  </Button>
                )}
                <SpotSelect
                  label="Move to"
                  prompt="Move to..."
                  places={data.places}
                  onChoose={(to) => void log(putAway([brief], to), `${pack.name} is put away`)}
                />
                <Button variant="outline" onClick={() => sheet('repack')}>
                  Pack it anew
                </Button>
                {!pack.labelled && (
                  <Button variant="outline" onClick={() => void log([markLabelled(brief, 'hand', data.labelSays)], 'Written by hand')}>
                    Label written
                  </Button>
                )}
              </Group>
              <GoesCard brief={brief} pack={pack} />
            </Card>
          )}
          {empty && container && !container.oneUse && !pack.washed && (
            <Card>
              <Group wrap="nowrap">
                <Text className="grow" span inherit>
                  {container.name} waits to be washed.
                </Text>
                <Button onClick={() => void log([wash(brief)], `${container.name} is free again`)}>Washed</Button>
              </Group>
            </Card>
          )}
          <Card aria-label="Its story">
            <Title order={2}>Its story</Title>
            <Rows>
              {data.history.map((h) => (
                <li key={h.id} style={h.undone ? { textDecoration: 'line-through', color: 'var(--quiet)' } : undefined}>
                  <Text span size="xs" c="dimmed" w={150}>
                    {sayWeekday(dayOf(h.at, zone))} {clockOf(h.at, zone)}
                  </Text>
                  <Box className="grow">{h.says}</Box>
                  {!h.undone && (
                    <Anchor
                      component="button"
                      size="xs"
                      type="button"
                      onClick={() => void undo({ kind: 'events', events: h.act })}
                      aria-label={`Take back: ${h.says}`}
                    >
                      take back
                    </Anchor>
                  )}
                </li>
              ))}
            </Rows>
          </Card>
        </Stack>
        <Stack>
          <Card aria-label="Label">
            <Title order={2}>Its label</Title>
            <LabelDrawings result={label} />
            {brief.printAgain && (
              <Note tone="bad" role="alert">
                {pack.labelOld
                  ? 'It was corrected since this label was printed. Print it again.'
                  : 'What is known of its allergens has changed since this label was printed. Print it again.'}
              </Note>
            )}
            <Text inherit mt={10}>
              <a href={`/api/labels.pdf?packs=${pack.packId}`} target="_blank" rel="noreferrer">
                Print it alone
              </a>
              {brief.printAgain && (
                <>
                  {' '}
                  <Button
                    size="sm"
                    onClick={() => void log([markLabelled(brief, 'printed', data.labelSays)], `${pack.name}: the new label is on`)}
                  >
                    The new one is on
                  </Button>
                </>
              )}
            </Text>
          </Card>
          {!empty && <LotCard data={data} />}
          <Cautions list={data.cautions} title="Before it is eaten" />
        </Stack>
      </Columns>
    </Page>
  );
}
