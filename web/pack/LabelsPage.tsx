import { Badge, Button, Card, Group, Radio, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { z } from 'zod';
import { useHalfMade } from '../form/useHalfMade.ts';
import c from './Labels.module.css';
import { Link, useParams } from 'react-router';
import { markLabelled } from '#core/commands';
import { countOf } from '#core/kitchen';
import { a4Grid21, type LabelResult } from '#core/pack';
import { useLabelsQuery, useSessionsQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { LabelDrawings } from './LabelDrawings.tsx';
import { previewOf } from './usePreview.ts';
import { Columns } from '../ui/Columns.tsx';

const sheetsOf = (r: LabelResult | undefined): number => (r?.ok ? r.labels.length : 0);
const perSheet = a4Grid21.columns * a4Grid21.rows;

/** Where a started sheet goes on, and whether all packs are printed again. */
const sheetSchema = z.object({ start: z.number().int().min(1).max(perSheet), all: z.boolean() });
const freshSheet = { start: 1, all: false };

/** Labels of a session: which packs, from which free label of the sheet, as a PDF; or written by hand. */
export function LabelsPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useLabelsQuery(id);
  const sessions = useSessionsQuery().data;
  const { log } = useCommands();
  const [{ start, all }, setSheet, half] = useHalfMade({
    kind: 'labels',
    key: `labels ${id}`,
    name: 'A sheet of labels',
    path: `/pack/${id}/labels`,
    initial: freshSheet,
    schema: sheetSchema,
  });
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const bare = data.labels.filter((l) => !data.says[l.packId]?.labelled).length;
  const chosen = data.labels.filter((l) => all || !data.says[l.packId]?.labelled || data.says[l.packId]?.printAgain);
  const drawn = new Map(chosen.map((l) => [l.packId, previewOf(l, data.address)]));
  /** Labels on the sheet: a pack whose words need two has two. */
  const cells = chosen.reduce((n, l) => n + sheetsOf(drawn.get(l.packId)), 0);
  const href = `/api/labels.pdf?packs=${chosen.map((l) => l.packId).join(',')}&start=${start}`;
  const mark = (how: 'printed' | 'hand'): void => {
    const ids = chosen.map((l) => l.packId);
    half?.drop();
    void log(
      ids.map((packId) => markLabelled({ packId, seen: data.says[packId]?.seen }, how, data.says[packId]?.allergy ?? '')),
      how === 'printed' ? `${countOf(ids.length, 'label')} printed and stuck on` : `${countOf(ids.length, 'code')} written by hand`,
    );
  };
  return (
    <Page>
      {brief && <SessionHeader brief={brief} here={`/pack/${id}/labels`} />}
      <PageHead
        title="Labels"
        lead={`${countOf(data.labels.length, 'pack')}, ${bare === 0 ? 'all labelled' : `${bare} without a label`}. ${a4Grid21.name}.`}
      >
        <Button variant="chip" aria-pressed={all} onClick={() => setSheet({ start, all: !all })}>
          All packs again
        </Button>
        <Button component={Link} variant="outline" to={`/pack/${id}/sheet`}>
          Session sheet
        </Button>
      </PageHead>
      {data.labels.length === 0 ? (
        <Empty title="No packs yet" text="Fill the containers first; each pack then has its code and its label.">
          <Button component={Link} to={`/pack/${id}`}>
            Pack
          </Button>
        </Empty>
      ) : (
        <Columns parts={['300px', 1]} align="start">
          <Stack>
            <Card aria-label="Sheet">
              <Title order={2}>First free label</Title>
              <Text c="dimmed" mb={8} fz={15}>
                Tap where a started sheet goes on.
              </Text>
              <Radio.Group
                value={String(start)}
                onChange={(n) => setSheet({ start: Number(n), all })}
                aria-label="First free label of the sheet"
              >
                <SimpleGrid cols={a4Grid21.columns} spacing={4} className={c.sheet}>
                  {Array.from({ length: perSheet }, (_, i) => i + 1).map((n) => (
                    <Radio.Card
                      key={n}
                      value={String(n)}
                      aria-label={`Label ${n}`}
                      className={c.cell}
                      data-state={n < start ? 'gone' : n < start + cells ? 'used' : 'free'}
                    >
                      {n}
                    </Radio.Card>
                  ))}
                </SimpleGrid>
              </Radio.Group>
              <Text c="dimmed" mt={8} fz={15}>
                {countOf(cells, 'label')} on {countOf(Math.max(1, Math.ceil((start - 1 + cells) / perSheet)), 'sheet')}.
              </Text>
              {chosen.length > 0 && (
                <Stack gap={8} mt={12}>
                  <Button component="a" href={href} target="_blank" rel="noreferrer">
                    Open the PDF
                  </Button>
                  <Button variant="outline" onClick={() => mark('printed')}>
                    Printed and stuck on
                  </Button>
                </Stack>
              )}
            </Card>
            <Card aria-label="By hand">
              <Title order={2}>No printer to hand?</Title>
              <Text fz={15}>Write the code big on each lid, with the dish and the best-by date. The rest stands here under the code.</Text>
              {chosen.length > 0 && (
                <Button variant="outline" mt={10} onClick={() => mark('hand')}>
                  {countOf(chosen.length, 'code')} written by hand
                </Button>
              )}
            </Card>
          </Stack>
          {chosen.length === 0 ? (
            <Empty title="All labelled" text="Every pack of this session carries its label. Choose “All packs again” to print one anew." />
          ) : (
            <Columns least={330} gap={12}>
              {chosen.map((content) => {
                const result = drawn.get(content.packId);
                return (
                  <div key={content.packId}>
                    {result && <LabelDrawings result={result} />}
                    <Group wrap="nowrap" justify="space-between" mt={4}>
                      <Text span variant="mid" lts={2}>
                        {content.code}
                      </Text>
                      {data.says[content.packId]?.printAgain && <Badge color="tomato">print again</Badge>}
                      {result?.ok && result.moved.length > 0 && (
                        <Text span size="xs" c="dimmed">
                          more on the session sheet
                        </Text>
                      )}
                    </Group>
                  </div>
                );
              })}
            </Columns>
          )}
        </Columns>
      )}
    </Page>
  );
}
