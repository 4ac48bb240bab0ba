import { Button, Card, Group, Stack, Text } from '@mantine/core';
import { Link, useParams } from 'react-router';
import { capital, listOf, sayDayYear, sayLongDay } from '#core/kitchen';
import type { LabelContent } from '#core/pack';
import { sayVague } from '#core/store';
import { useLabelsQuery, useSessionPackQuery } from '../sync/api.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Rows } from '../ui/Rows.tsx';

/** What is added on the day, pack sizes apart where their amounts differ. */
const addText = (labels: readonly LabelContent[]): string =>
  [...new Map(labels.map((l) => [`${l.portions}|${JSON.stringify(l.add)}`, l])).values()]
    .map((l) => `${listOf(l.add.map((a) => (a.amount ? `${a.amount} ${a.name}` : a.name)))} to ${l.portions}`)
    .join('; ');

/** The session sheet: for each dish all that a label may have had no room for, with the codes it stands under. Made for paper. */
export function SheetPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useSessionPackQuery(id);
  const sheet = useLabelsQuery(id).data;
  if (!data || !sheet) return <Waiting error={error} refetch={() => void refetch()} />;
  const byPack = new Map((sheet?.labels ?? []).map((l) => [l.packId, l]));
  const filled = data.batches.filter((b) => b.packs.length > 0);
  return (
    <Page>
      <PageHead
        title={data.session.name}
        lead={`Session sheet, ${sayLongDay(data.session.day)}. Keep it by the freezer: a label refers to it when its text did not fit.`}
      >
        <Button onClick={() => window.print()}>Print the sheet</Button>
        <Button component={Link} variant="outline" to={`/pack/${id}/labels`}>
          Labels
        </Button>
      </PageHead>
      {filled.length === 0 ? (
        <Empty title="No packs yet" text="Once the first dish is packed, its heating, thawing and allergens stand here in full.">
          <Button component={Link} to={`/pack/${id}`}>
            Pack
          </Button>
        </Empty>
      ) : (
        <Stack>
          {filled.map((b) => {
            const pack = b.packs[0];
            if (!pack) return null;
            const labels = b.packs.flatMap((p) => byPack.get(p.packId) ?? []);
            const heats = [...new Set(labels.flatMap((l) => l.heat.flatMap((way) => way[0] ?? [])))];
            const thaws = [...new Set(labels.flatMap((l) => l.thaw ?? []))];
            const doses = [...new Set(labels.flatMap((l) => l.dose))];
            const [label] = labels;
            return (
              <Card key={b.batch.id} aria-label={b.revision.name}>
                <Group justify="space-between" align="baseline" mb={8}>
                  <Group wrap="nowrap" component="h2" gap={10}>
                    <KindMark kind={b.revision.kind} size={24} />
                    {b.revision.name}
                  </Group>
                  <span>
                    best by <b>{pack.bestBy ? sayDayYear(pack.bestBy) : 'not known'}</b>, made{' '}
                    {pack.made ? sayVague(pack.made) : 'not known'}
                  </span>
                </Group>
                <Text inherit lts={1}>
                  {b.packs.map((p) => p.code).join('  ')}
                </Text>
                <Rows>
                  {(label?.allergens ?? []).map((a) => (
                    <li key={a}>{capital(a)}</li>
                  ))}
                  {(label?.cautions ?? []).map((c) => (
                    <li key={c}>
                      <b>{c}</b>
                    </li>
                  ))}
                  {labels.some((l) => l.add.length > 0) && <li>Add on the day: {addText(labels)}</li>}
                  {doses.map((d) => (
                    <li key={d}>{d}</li>
                  ))}
                  {heats.map((h) => (
                    <li key={h}>{h}</li>
                  ))}
                  {thaws.map((t) => (
                    <li key={t}>Thaw {t}</li>
                  ))}
                </Rows>
              </Card>
            );
          })}
        </Stack>
      )}
    </Page>
  );
}
