import { Anchor, Badge, Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { memo, useState } from 'react';
import { revisionSchema, type Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { FormBody } from '../form/FormSheet.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { Field, Pick } from '../form/fields.tsx';
import { useRevise } from './useRevise.ts';

const ownWords = revisionSchema.pick({ ownReheat: true, ownThaw: true });

/** How the dish is heated once it comes out of the freezer: a class, guessed until it is confirmed in one tap, or the cook's own words. */
export const ReheatCard = memo(function ReheatCard({ data }: { data: RecipeAnswer }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const { heat, revision } = data;
  const form = useContractForm({
    schema: ownWords,
    was: revision,
    draftKey: `reheat ${data.recipe.id}`,
    name: () => `How ${revision.name} is heated`,
    path: `/recipes/${data.recipe.id}#reheating`,
    onKeep: (own) => {
      void write(
        revise((r): Revision => {
          const { ownReheat: _r, ownThaw: _t, ...rest } = r;
          return { ...rest, ...own };
        }),
        `${revision.name}: its own words for heating`,
      );
      form.drop();
    },
  });
  const [open, setOpen] = useState(form.changed);
  const confirm = (classId: string): void =>
    void write(
      revise((r): Revision => ({ ...r, reheatClass: classId, confirmed: [...new Set([...r.confirmed, 'reheat' as const])] })),
      `${revision.name}: heated as ${heat.classes.find((c) => c.id === classId)?.name ?? classId}`,
    );
  return (
    <Card aria-label="Reheating" id="reheating">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Reheating</Title>
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
        <Box mt={8}>
          <FormBody
            form={form}
            more={
              <Text span size="xs" c="dimmed">
                Empty, the usual times stand. Reheat right through, until it is steaming hot.
              </Text>
            }
          >
            <Field label="Heating, as its labels say it" {...form.field('ownReheat')} />
            <Field label="Thawing" {...form.field('ownThaw')} />
          </FormBody>
        </Box>
      )}
    </Card>
  );
});
