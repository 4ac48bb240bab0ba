import { Box, Button, Group, Modal, NativeSelect, Stack, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { IngredientRow } from '#core/contract';
import { ingredientFinder, type IngredientFinder } from '#core/kitchen';
import { aisles } from '#core/shop/data';
import { AllergenChips } from '../form/AllergenChips.tsx';
import { numberOf } from '../form/fields.tsx';
import { IngredientField } from '../form/IngredientField.tsx';
import { useWriteQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';

/** What a new food is probably like: what its name holds, else what its last word finds. */
const likeOf = (finder: IngredientFinder, name: string): IngredientRow | undefined =>
  finder.read(name)?.row ?? finder.search(name.split(/\s+/).at(-1) ?? '', 1)[0];

/** A food that nobody knew, made one of the household's: what it is like, what one weighs, what its label says it holds. */
export function NewFood({ name: first, onMade, onClose }: { name: string; onMade: (row: IngredientRow) => void; onClose: () => void }) {
  const rows = useWriteQuery().data?.rows;
  const [name, setName] = useState(first);
  const [like, setLike] = useState<IngredientRow | undefined>(() => rows && likeOf(ingredientFinder(rows), first));
  const [piece, setPiece] = useState('');
  const [aisle, setAisle] = useState(like?.aisle ?? 'other');
  const [contains, setContains] = useState<string[]>();
  const { write } = useCommands();
  const pieceG = numberOf(piece);
  const badPiece = piece.trim() !== '' && !(pieceG !== undefined && pieceG > 0 && pieceG <= 20_000);
  const keep = (): void => {
    const row: IngredientRow = {
      id: `own_${newId()}`,
      name: name.trim(),
      otherNames: [],
      aisle,
      density: like?.density ?? {},
      ...(like?.baseState && { baseState: like.baseState }),
      ...(pieceG !== undefined && { pieceG }),
      contains: contains ?? [],
      mayHold: [],
      allergenCheck: contains === undefined ? 'unknown' : 'plain',
      source: like ? `OWN;${like.source}`.slice(0, 200) : 'OWN',
      conf: 'confirm',
    };
    const id = `ingredient:${row.id}`;
    void write(
      [{ table: 'reference', id, data: { id, table: 'ingredient', row: { ...row } }, was: null }],
      `${row.name} is one of your foods`,
    );
    onMade(row);
  };
  return (
    <Modal opened onClose={onClose} title="A food of yours" size={620} closeButtonProps={{ 'aria-label': 'Close' }}>
      <Stack>
        <Group align="flex-start">
          <TextInput
            className="grow"
            label="Name"
            data-autofocus
            value={name}
            maxLength={160}
            error={name.trim() ? undefined : 'give it a name'}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <TextInput
            label="One weighs (g)"
            w={150}
            inputMode="decimal"
            value={piece}
            error={badPiece ? 'a weight in grams' : undefined}
            onChange={(e) => setPiece(e.currentTarget.value)}
          />
        </Group>
        <Group align="flex-end">
          <Box flex="1 1 240px">
            <IngredientField
              key={like?.id ?? 'none'}
              label="Weighs by the spoon and cup like"
              name={like?.name ?? ''}
              onPick={({ id }) => {
                const row = rows?.find((r) => r.id === id);
                setLike(row);
                if (row) setAisle(row.aisle);
              }}
            />
          </Box>
          <NativeSelect
            label="Bought in"
            value={aisle}
            data={aisles.map((a) => ({ value: a.id, label: a.name }))}
            onChange={(e) => setAisle(e.currentTarget.value)}
          />
        </Group>
        <div>
          <Text fw={600} mb={4}>
            What its label says it holds
          </Text>
          <AllergenChips label={`What ${name} holds`} value={contains ?? []} onChange={setContains} />
          <Group mt={8}>
            <Button
              variant="chip"
              aria-pressed={contains?.length === 0}
              onClick={() => setContains(contains?.length === 0 ? undefined : [])}
            >
              none of them
            </Button>
            <Text size="sm" c="dimmed" className="grow">
              {contains === undefined
                ? 'Not said yet: dishes with it say “allergens not checked”, and it is never taken as free of anything.'
                : 'As you read it. Look again when you buy another make.'}
            </Text>
          </Group>
        </div>
        <Group>
          <Button disabled={!name.trim() || badPiece} onClick={keep}>
            Keep this food
          </Button>
          <Text size="sm" c="dimmed" className="grow">
            {like ? `Density taken from ${like.name} until you weigh a cup of yours.` : 'Without a density, cups of it are not weighed.'}
          </Text>
        </Group>
      </Stack>
    </Modal>
  );
}
