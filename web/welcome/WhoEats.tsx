import { Anchor, Button, Group, Input, Text, TextInput } from '@mantine/core';
import { useRef, useState } from 'react';
import type { Eater, Figures } from '#core/contract';
import { useCommands } from '../sync/commands.ts';
import { newEater } from '../kitchen/newEater.ts';
import { Rows } from '../ui/Rows.tsx';

const stages: readonly (readonly [Eater['stage'], string])[] = [
  ['adult', 'adult'],
  ['elder', 'elder'],
  ['child', 'child'],
  ['toddler', 'toddler'],
  ['baby', 'baby'],
];

/** Step 1: a name and what they are, one tap each. */
export function WhoEats({ eaters, figures }: { eaters: readonly Eater[]; figures: Figures }) {
  const { write } = useCommands();
  const [name, setName] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const add = (stage: Eater['stage']): void => {
    const eater = newEater(figures, stage, name.trim() || `Somebody ${eaters.length + 1}`);
    void write([{ table: 'eater', id: eater.id, data: eater, was: null }], `${eater.name} is at the table`);
    setName('');
    field.current?.focus();
  };
  return (
    <>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          add('adult');
        }}
      >
        <Input.Label htmlFor="whoname">Name</Input.Label>
        <TextInput
          w="100%"
          maw={420}
          size="lg"
          id="whoname"
          ref={field}
          autoFocus
          autoComplete="off"
          placeholder="Ines"
          value={name}
          onChange={(e) => setName(e.currentTarget.value)}
        />
      </form>
      <Group gap={8} mt={12} className="chips" role="group" aria-label="Add as">
        {stages.map(([stage, says]) => (
          <Button variant="chip" key={stage} onClick={() => add(stage)}>
            + {says}
          </Button>
        ))}
      </Group>
      <Rows mt={14} aria-label="At the table">
        {eaters.map((e) => (
          <li key={e.id}>
            <Text className="grow" component="b" inherit>
              {e.name}
            </Text>
            <Text span inherit c="dimmed">
              {e.stage}, dinner every day
            </Text>
            <Anchor
              component="button"
              size="xs"
              type="button"
              aria-label={`Take ${e.name} off`}
              onClick={() => void write([{ table: 'eater', id: e.id, data: null, was: e }], `${e.name} is taken off the table`)}
            >
              take off
            </Anchor>
          </li>
        ))}
      </Rows>
      {eaters.length > 0 && (
        <Text c="dimmed" mt={8} fz={15}>
          Rotas, allergens, appetites and other meals are set in Kitchen whenever you like.
        </Text>
      )}
    </>
  );
}
