import { Box, Button, Group, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { countOf, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { PackBrief } from '#core/queries';
import { pilesOf } from '#core/store';
import { KindMark } from '../draw/KindMark.tsx';
import { Note } from '../ui/Note.tsx';
import { amountOf } from '../ui/packWords.ts';
import { Rows } from '../ui/Rows.tsx';

/** Codes of a dish that are offered at once; typing one finds the others. */
const mostCodes = 6;

/** Packs to choose from, by dish: found by name or by the code on the lid. */
export function PackPicker({ packs, onTake }: { packs: readonly PackBrief[]; onTake: (p: PackBrief) => void }) {
  const [q, setQ] = useState('');
  const found = packs.filter((p) => `${p.name} ${p.code}`.toLowerCase().includes(q.toLowerCase()));
  return (
    <>
      <TextInput
        w="100%"
        mb={10}
        type="search"
        data-autofocus
        placeholder="Name, or the code on the lid"
        aria-label="Which pack"
        value={q}
        onChange={(e) => setQ(e.currentTarget.value)}
      />
      {found.length === 0 ? (
        <Note tone="warn">Nothing of that name or code is in store. {q && `“${q}” is kept; check the lid.`}</Note>
      ) : (
        <Rows mah={420} tabIndex={0} aria-label="Packs">
          {pilesOf(found, 'dish').map((pile) => (
            <li key={pile.key}>
              <KindMark kind={pile.kind} size={24} />
              <Box className="grow">
                <b>{pile.name}</b>
                <Text size="xs" c="dimmed">
                  {countOf(pile.packs.length, 'pack')}, {sayPortions(pile.left)} {portionName(pile.kind, pile.left)}
                </Text>
              </Box>
              <Group gap={6} justify="flex-end" maw={300}>
                {pile.packs.slice(0, mostCodes).map((p, i) => (
                  <Button
                    key={p.packId}
                    variant={i === 0 ? 'outline' : 'chip'}
                    size="sm"
                    aria-label={`${p.name} ${p.code}, ${amountOf(p)}${p.status === 'fridge' ? ', in the fridge' : ''}`}
                    onClick={() => onTake(p)}
                  >
                    {p.code}
                    {p.status === 'fridge' ? ', fridge' : ''}
                  </Button>
                ))}
              </Group>
            </li>
          ))}
        </Rows>
      )}
    </>
  );
}
