import { Anchor, Box, Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { countOf, listOf, quarterUp, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { RecipeBrief, SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Figure, NotFor } from '../ui/ui.tsx';
import { okPortions, type PlannedDish } from './planDraft.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Note } from '../ui/Note.tsx';

type ComesTo = SessionParts['draft'];

/** Portions that are worth a word: less than this is noise of arithmetic. */
const worthSaying = 0.01;

function PackingWords({ comesTo, batchId }: { comesTo: ComesTo | undefined; batchId: string }) {
  const { sayVolume } = useMeasures();
  const b = comesTo?.batches.find((x) => x.batch.id === batchId);
  if (!b) return null;
  if (!b.packing.ok)
    return (
      <Text span inherit c="var(--tomato)">
        {b.packing.why === 'portionTooLarge'
          ? `one portion (${sayVolume(Math.round(b.packing.portionMl))}) is larger than every container${b.packing.nearest ? `, nearest ${b.packing.nearest.name}` : ''}`
          : b.packing.why === 'nothingFree'
            ? 'no container that fits is free'
            : 'less than one portion'}
      </Text>
    );
  const parts = b.packing.choice.groups.map((g) => `${g.packs} × ${g.container.name} of ${sayPortions(g.portionsEach)}`);
  return (
    <>
      {parts.join(', ')}
      {b.packing.choice.tonightMl >= 20 ? `; ${sayVolume(Math.round(b.packing.choice.tonightMl))} for tonight` : ''}
      {b.cubes && b.cubes.rounds > 0 ? `; trays in ${countOf(b.cubes.rounds, 'round')}` : ''}
    </>
  );
}

/** A dish on the plan: what it is packed in, what was noted last time, how many portions. */
export function PickedDish({
  dish: { batch, text },
  brief,
  comesTo,
  onType,
  onRemove,
}: {
  dish: PlannedDish;
  brief: RecipeBrief | undefined;
  comesTo: ComesTo | undefined;
  onType: (text: string) => void;
  onRemove: () => void;
}) {
  const kind = brief?.recipe.kind ?? 'meal';
  return (
    <li>
      <KindMark kind={kind} size={28} />
      <Box className="grow">
        <Link className="main" to={`/recipes/${batch.recipeId}?portions=${text}`}>
          {brief?.recipe.name ?? 'a recipe that is gone'}
        </Link>
        <Text component="div" c="dimmed" fz={15}>
          <PackingWords comesTo={comesTo} batchId={batch.id} />
          {comesTo?.notes
            .filter((n) => n.recipeId === batch.recipeId)
            .map((n) => (
              <Text span inherit c="var(--saffron)" key={n.text} display="block">
                Last time you noted: “{n.text}”
              </Text>
            ))}
          {batch.unsalted ? `; ${sayPortions(batch.unsalted)} dipped out before the salt` : ''}
        </Text>
        <NotFor says={brief?.notFor ?? []} />
      </Box>
      <Figure label={`Portions of ${brief?.recipe.name ?? 'dish'}`} value={text} onChange={onType} bad={!okPortions(text)} loud />
      <Text span inherit c="dimmed" w={66}>
        {portionName(kind, Number(text))}
      </Text>
      <Anchor component="button" size="xs" type="button" aria-label={`Remove ${brief?.recipe.name ?? 'dish'}`} onClick={onRemove}>
        remove
      </Anchor>
    </li>
  );
}

/** What dishes draw from a base; where it is short, the base can be cooked too, unless it is on the plan already (no brief). */
export function BaseNote({
  base: b,
  brief,
  onAdd,
}: {
  base: ComesTo['bases'][number];
  brief: RecipeBrief | undefined;
  onAdd: (r: RecipeBrief, portions: number) => void;
}) {
  const short = b.short > worthSaying;
  const cook = Math.max(brief?.servings ?? 0, quarterUp(b.asked - b.inStore));
  return (
    <Note tone={short ? 'warn' : 'plain'} mt={8}>
      <Group>
        <Text className="grow" span inherit>
          <b>{b.name}</b>: {sayPortions(quarterUp(b.asked))} drawn by {listOf(b.draws.map((d) => d.name))}
          {b.made > 0 ? `, ${sayPortions(b.made)} made here` : ''}
          {b.inStore > 0 ? `, ${sayPortions(b.inStore)} in store` : ''}
          {short ? '; not enough yet' : ''}.
        </Text>
        {short && brief && (
          <Button variant="outline" size="sm" onClick={() => onAdd(brief, cook)}>
            Cook {sayPortions(cook)} of it too
          </Button>
        )}
      </Group>
    </Note>
  );
}
