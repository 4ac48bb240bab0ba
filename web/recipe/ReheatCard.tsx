import { Anchor, Badge, Button, Card, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import type { Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Field, Pick } from '../kitchen/fields.tsx';
import { useRevise } from './useRevise.ts';

/** How the dish is heated once it comes out of the freezer: a class, guessed until it is confirmed in one tap, or the cook's own words. */
export function ReheatCard({ data }: { data: RecipeAnswer }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const { heat, revision } = data;
  const [own, setOwn] = useState(revision.ownReheat ?? '');
  const [ownThaw, setOwnThaw] = useState(revision.ownThaw ?? '');
  const [open, setOpen] = useState(false);
  const confirm = (classId: string): void =>
    void write(
      revise((r): Revision => ({ ...r, reheatClass: classId, confirmed: [...new Set([...r.confirmed, 'reheat' as const])] })),
      `${revision.name}: heated as ${heat.classes.find((c) => c.id === classId)?.name ?? classId}`,
    );
  const keepOwn = (): void =>
    void write(
      revise((r): Revision => {
        const { ownReheat: _r, ownThaw: _t, ...rest } = r;
        return { ...rest, ...(own.trim() && { ownReheat: own.trim() }), ...(ownThaw.trim() && { ownThaw: ownThaw.trim() }) };
      }),
      `${revision.name}: its own words for heating`,
    );
  const changed = own.trim() !== (revision.ownReheat ?? '') || ownThaw.trim() !== (revision.ownThaw ?? '');
  return (
    <Card aria-label="Reheating" id="reheating">
      <Group justify="space-between" align="baseline" mb={8}>
        <h2>Reheating</h2>
        {heat.guess && <Badge color="saffron">guessed</Badge>}
      </Group>
      <Group align="flex-end" gap={10}>
        <Pick label="Heated as" value={heat.classId} options={heat.classes.map((c) => [c.id, c.name] as const)} onChange={confirm} />
        {heat.guess && <Button onClick={() => confirm(heat.classId)}>That’s right</Button>}
      </Group>
      <Text inherit mt={10}>
        {heat.sample.heat[0]?.[0]}{' '}
        {heat.sample.usual && (
          <Text span inherit c="dimmed">
            Usual times, for two in a tub; each pack has its own.
          </Text>
        )}
      </Text>
      {heat.sample.thaw && (
        <Text inherit c="dimmed">
          Thaw: {heat.sample.thaw}.
        </Text>
      )}
      <Anchor component="button" type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
        in your own words
      </Anchor>
      {open && (
        <Stack gap={8} mt={8}>
          <Field label="Heating, as its labels say it" value={own} onChange={setOwn} />
          <Field label="Thawing" value={ownThaw} onChange={setOwnThaw} />
          <Group wrap="nowrap">
            <Button size="sm" disabled={!changed || own.length > 300 || ownThaw.length > 200} onClick={keepOwn}>
              Keep
            </Button>
            <Text span size="xs" c="dimmed">
              Empty, the usual times stand. Reheat right through, until it is steaming hot.
            </Text>
          </Group>
        </Stack>
      )}
    </Card>
  );
}
