import { Box, Group, Text } from '@mantine/core';
import { correct, putAway } from '#core/commands';
import { kindSchema, packCorrectionSchema } from '#core/contract';
import type { PackAnswer } from '#core/queries';
import { bestByFrom, correctionFrom, correctionOf, movedTo } from '#core/store';
import { useLivesQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { AllergenChips } from '../form/AllergenChips.tsx';
import { Field, Pick } from '../form/fields.tsx';
import { LifeSelect } from '../form/LifeSelect.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { DayField } from '../ui/DayField.tsx';
import { SpotSelect } from '../ui/SpotSelect.tsx';

const kinds = kindSchema.options.map((k) => [k, k] as const);

/** What was entered of a pack, mended: as it was stays in its story, and its label is printed again where it says otherwise. */
export default function CorrectPack({ data, onClose }: { data: PackAnswer; onClose: () => void }) {
  const { pack } = data;
  const { log } = useCommands();
  const lives = useLivesQuery().data?.filter((l) => l.life ?? l.id === pack.life.rowId) ?? [];
  const snapshots = new Map(lives.flatMap((l) => (l.life ? [[l.id, l.life] as const] : [])));
  const form = useContractForm({
    schema: packCorrectionSchema,
    was: correctionFrom(pack),
    draftKey: `correct ${pack.packId}`,
    name: () => `${pack.name} ${pack.code}, corrected`,
    path: `/p/${pack.code}?correct=1`,
    onKeep: (said) => {
      const { is, was, portions } = correctionOf(pack, said, snapshots);
      const spot = movedTo(pack, said);
      form.drop();
      onClose();
      const otherwise = Object.keys(is).length > 0 || portions !== undefined;
      const acts = [
        ...(otherwise ? [correct(data.brief, { is, was }, said.reason, portions)] : []),
        ...(spot ? putAway([data.brief], spot) : []),
      ];
      if (acts.length > 0) void log(acts, otherwise ? `${said.name} is corrected` : `${said.name} stands elsewhere`);
    },
  });
  const { values, field, set } = form;
  const life = snapshots.get(values.lifeId) ?? pack.life;
  return (
    <FormSheet form={form} title={`${pack.name}, ${pack.code}`} onClose={onClose}>
      <Group align="flex-start">
        <Field label="Name" {...field('name')} />
        <Pick label="Kind" options={kinds} {...field('kind')} />
      </Group>
      <Group align="flex-start">
        <Field label="Portions" width={160} {...field('portions')} />
        <Field label="Left" width={130} {...field('left')} />
        <Field label="Weight when full" width={170} {...field('massG')} />
        <Pick
          label="Container"
          options={[['', 'none with a name'], ...data.containers.map((c) => [c.id, c.name] as const)]}
          {...field('containerId')}
        />
      </Group>
      <Group align="flex-start">
        <DayField
          label="Made"
          year="last"
          value={values.made ?? ''}
          error={form.errors.made}
          data-path="made"
          // the date it keeps to follows, until it is said apart
          onChange={(made) => set(made === '' ? { made, bestBy: '' } : { made, bestBy: bestByFrom({ life }, made) })}
        />
        <DayField
          label="Best by"
          value={values.bestBy ?? ''}
          error={form.errors.bestBy}
          data-path="bestBy"
          onChange={(bestBy) => set({ bestBy })}
        />
        <Text c="dimmed" size="sm" maw={230} mt={26}>
          Best by follows the day it was made; empty, nobody knows.
        </Text>
      </Group>
      <Group align="flex-start" grow>
        {lives.length > 0 && (
          <LifeSelect
            label="Keeps like"
            lives={lives}
            value={values.lifeId}
            onChange={(lifeId) => {
              const next = snapshots.get(lifeId);
              set({ lifeId, ...(next && values.made && { bestBy: bestByFrom({ life: next }, values.made) }) });
            }}
          />
        )}
        {pack.placeId !== undefined && (
          <SpotSelect
            label="Stands in"
            shown
            places={data.places}
            spot={{ placeId: values.placeId, zoneId: values.zoneId }}
            onChoose={(spot) => set(spot)}
          />
        )}
      </Group>
      <Box>
        <Text fw={600} fz={15} mb={3}>
          What it contains
        </Text>
        <AllergenChips label="What it contains" value={values.contains} onChange={(contains) => set({ contains })} />
      </Box>
      <Field label="Why, if it should be remembered" {...field('reason')} />
    </FormSheet>
  );
}
