import { Button, Card, Group, Text, Title } from '@mantine/core';
import { countOf, sayPortions } from '#core/kitchen';
import type { Revision } from '#core/contract';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { useMeasures } from '../sync/measures.ts';
import { useRevise } from './useRevise.ts';

/** What goes in and what is said to come out do not agree, or nobody said how large a serving is: asked once, mended in one tap. */
export function YieldCheck({ data }: { data: RecipeAnswer }) {
  const { sayMass, sayVolume } = useMeasures();
  const { write } = useCommands();
  const revise = useRevise(data);
  const { massCheck: check, revision } = data;
  const guessed = !revision.confirmed.includes('serving');
  if (!check && !guessed) return null;
  const size = (amount: number): string => (revision.serving.unit === 'ml' ? sayVolume(amount) : sayMass(amount));
  const mend = (part: Partial<Revision>, says: string): void =>
    void write(
      revise((r): Revision => ({ ...r, ...part, confirmed: [...new Set([...r.confirmed, 'serving' as const, 'yield' as const])] })),
      says,
    );
  const ones = portionName(revision.kind, revision.servings);
  return (
    <Card mb={16} aria-label="How much it makes" data-tone="saffron">
      <Title order={2}>{check ? 'That does not add up' : 'How large is a serving?'}</Title>
      {check ? (
        <>
          <p>
            <b>{sayMass(Math.round(check.inG / 50) * 50)}</b> {check.atLeast ? 'at least goes in' : 'goes in'}, and{' '}
            <b>{sayMass(Math.round(check.outG / 50) * 50)}</b> is said to come out: {sayPortions(revision.servings)} {ones} of{' '}
            {size(revision.serving.amount)}.
          </p>
          <Group mt={10}>
            <Button
              onClick={() =>
                mend(
                  {
                    serving: { ...revision.serving, amount: check.servingAmount },
                    ...(revision.cubeMl !== undefined && { cubeMl: revision.cubeMl }),
                  },
                  `${revision.name}: ${size(check.servingAmount)} a serving`,
                )
              }
            >
              {sayPortions(revision.servings)} {ones} of {size(check.servingAmount)}
            </Button>
            <Button
              variant="outline"
              onClick={() => mend({ servings: check.servings }, `${revision.name}: makes ${countOf(check.servings, 'serving')}`)}
            >
              {check.servings} {portionName(revision.kind, check.servings)} of {size(revision.serving.amount)}
            </Button>
            <Button variant="outline" onClick={() => mend({}, `${revision.name}: as it says`)}>
              It is right as it says
            </Button>
          </Group>
        </>
      ) : (
        <Group>
          <Text className="grow" span inherit>
            The recipe says {sayPortions(revision.servings)} {ones}, not how large one is: {size(revision.serving.amount)} is a guess.
          </Text>
          <Button onClick={() => mend({}, `${revision.name}: ${size(revision.serving.amount)} a serving`)}>
            {size(revision.serving.amount)} is right
          </Button>
        </Group>
      )}
    </Card>
  );
}
