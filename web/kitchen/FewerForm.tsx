import { Group, Text } from '@mantine/core';
import { z } from 'zod';
import type { Container } from '#core/contract';
import { countOf } from '#core/kitchen';
import { fewer } from '#core/store';
import { Field, Pick } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';

const said = z.object({ count: z.number().int().min(1).max(2000), how: z.enum(['broken', 'lent']), to: z.string().trim().max(60) });
const hows = [
  ['broken', 'broken or gone'],
  ['lent', 'lent to somebody'],
] as const;

/** There are fewer of a container kind than there were: broken ones are gone, lent ones come back. */
export function FewerForm({ container, onClose }: { container: Container; onClose: () => void }) {
  const day = useFrameQuery().data?.today;
  const { write } = useCommands();
  const form = useContractForm({
    schema: said,
    was: null,
    blank: { count: 1, how: 'broken', to: '' },
    draftKey: `fewer ${container.id}`,
    name: () => `Fewer of ${container.name}`,
    path: '/kitchen?tab=containers',
    together: ({ count, how, to }) => ({
      ...(count > container.owned && { count: `at most ${container.owned}, which is all there are` }),
      ...(how === 'lent' && to === '' && { to: 'who has them?' }),
    }),
    onKeep: ({ count, how, to }) => {
      if (!day) return;
      const after = fewer(container, how === 'broken' ? { count, how } : { count, how, to, day, id: newId() });
      const says = how === 'broken' ? 'broken or gone' : `lent to ${to}`;
      void write(
        [{ table: 'container', id: container.id, data: after, was: container }],
        `${container.name}: ${countOf(count, 'one', 'of them')} ${says}`,
      );
      form.drop();
      onClose();
    },
  });
  const { values, field } = form;
  return (
    <FormSheet form={form} title={`Fewer of ${container.name}`} onClose={onClose}>
      <Group align="flex-start">
        <Field label="How many" width={120} {...field('count')} />
        <Pick label="What became of them" options={hows} {...field('how')} />
        {values.how === 'lent' && <Field label="To whom" {...field('to')} />}
      </Group>
      <Text c="dimmed" fz={15}>
        Packs that stand in them stay as they are. A lent one counts as yours and is not free until it is back.
      </Text>
    </FormSheet>
  );
}
