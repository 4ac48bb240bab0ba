import { Anchor, Button, Card, Collapse, Group, Rating, Stack, Text, Textarea, TextInput, Title } from '@mantine/core';
import { memo, useState } from 'react';
import type { Kind, Writing } from '#core/contract';
import { allKinds } from '#core/kitchen';
import { readServing, readYield, servingByKind, type Composed } from '#core/recipe';
import type { WriteAnswer } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { LifeSelect } from '../form/LifeSelect.tsx';
import { useMeasures } from '../sync/measures.ts';
import type { Put } from './Beside.tsx';
import { PictureField } from './PictureField.tsx';

/** What is understood of “3 litres” or “7 plates of 420 g”. */
function MakesRead({ writing, composed }: { writing: Writing; composed: Composed }) {
  const { sayMass, sayVolume } = useMeasures();
  const { serving, servings } = composed.revision;
  const made = readYield(writing.makes);
  const one = serving.unit === 'g' ? sayMass(serving.amount) : sayVolume(serving.amount);
  const all = (serving.unit === 'g' ? sayMass : sayVolume)(serving.amount * servings);
  if (writing.makes.trim() === '') return null;
  return (
    <Text size="sm" c={made.count === undefined && made.total === undefined ? 'var(--tomato)' : 'dimmed'} role="status">
      {made.count === undefined && made.total === undefined
        ? `“${writing.makes}” says no amount: portions, litres, cubes or loaves.`
        : `${Number(servings.toFixed(2))} of ${one}, ${all} in all.`}
    </Text>
  );
}

interface AboutProps {
  writing: Writing;
  composed: Composed;
  data: WriteAnswer;
  put: Put;
}

/** Lines and steps may change while these stand: nothing of this card is drawn anew for them. */
function sameAbout(a: AboutProps, b: AboutProps): boolean {
  const { lines: _l, steps: _s, ...x } = a.writing;
  const { lines: _m, steps: _t, ...y } = b.writing;
  const [r, q] = [a.composed.revision, b.composed.revision];
  return (
    a.data === b.data &&
    a.put === b.put &&
    (Object.keys({ ...x, ...y }) as (keyof typeof x)[]).every((k) => x[k] === y[k]) &&
    r.kind === q.kind &&
    r.servings === q.servings &&
    r.serving.amount === q.serving.amount &&
    r.serving.unit === q.serving.unit &&
    r.storage[0]?.rowId === q.storage[0]?.rowId &&
    a.composed.guessed.join() === b.composed.guessed.join()
  );
}

/** What it is, how much it makes and how it keeps; the rest one tap away. */
export const AboutCard = memo(function AboutCard({ writing, composed, data, put }: AboutProps) {
  const { sayMass, sayVolume } = useMeasures();
  const [more, setMore] = useState(false);
  const { kind, storage } = composed.revision;
  const usual = servingByKind[kind];
  const badServing = writing.serving.trim() !== '' && readServing(writing.serving) === undefined;
  return (
    <Card aria-label="What it is">
      <Stack gap={12}>
        <Title order={2}>What it is</Title>
        <Group gap={8} role="group" aria-label="Kind">
          {allKinds.map((k: Kind) => (
            <Button
              variant="chip"
              key={k}
              aria-pressed={writing.kind === k || (writing.kind === undefined && kind === k)}
              onClick={() => put({ kind: k })}
            >
              <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}
            </Button>
          ))}
        </Group>
        {composed.guessed.includes('kind') && (
          <Text size="sm" c="dimmed">
            {kind} is a guess from its name: tap what it is.
          </Text>
        )}
        <div>
          <TextInput
            label="Makes"
            placeholder="7 plates of 420 g, or 3 litres"
            value={writing.makes}
            maxLength={120}
            onChange={(e) => put({ makes: e.currentTarget.value }, 'makes')}
          />
          <MakesRead writing={writing} composed={composed} />
        </div>
        <TextInput
          label="One serving"
          placeholder={`${usual.unit === 'g' ? sayMass(usual.amount) : sayVolume(usual.amount)}, as is usual`}
          value={writing.serving}
          maxLength={80}
          error={badServing ? 'a weight or a volume, such as 350 g or 250 ml' : undefined}
          onChange={(e) => put({ serving: e.currentTarget.value }, 'serving')}
        />
        <LifeSelect
          label={composed.guessed.includes('storage') ? 'Keeps like (guessed)' : 'Keeps like'}
          lives={data.lives}
          value={storage[0]?.rowId ?? ''}
          onChange={(lifeId) => put({ lifeId })}
        />
        <Button variant="outline" size="sm" aria-expanded={more} onClick={() => setMore(!more)} style={{ alignSelf: 'start' }}>
          {more ? 'Less' : 'Notes, tags, heating, stars, picture'}
        </Button>
        <Collapse expanded={more}>
          {more && (
            <Stack gap={12}>
              <Textarea
                label="Notes"
                autosize
                minRows={2}
                maxRows={8}
                value={writing.note}
                maxLength={1000}
                onChange={(e) => put({ note: e.currentTarget.value }, 'note')}
              />
              <TextInput
                label="Tags"
                placeholder="winter, baby"
                value={writing.tags}
                maxLength={800}
                onChange={(e) => put({ tags: e.currentTarget.value }, 'tags')}
              />
              <TextInput
                label="Where it is from"
                value={writing.source}
                maxLength={200}
                onChange={(e) => put({ source: e.currentTarget.value }, 'source')}
              />
              <Textarea
                label="Heating, in your words"
                description="Stands before the table’s on labels."
                autosize
                minRows={1}
                value={writing.ownReheat}
                maxLength={300}
                onChange={(e) => put({ ownReheat: e.currentTarget.value }, 'ownReheat')}
              />
              <TextInput
                label="Thawing, in your words"
                value={writing.ownThaw}
                maxLength={200}
                onChange={(e) => put({ ownThaw: e.currentTarget.value }, 'ownThaw')}
              />
              <div>
                <Text fw={600} fz={15} mb={3}>
                  How good it is
                </Text>
                <Group gap={12}>
                  <Rating
                    size="lg"
                    color="var(--saffron-fill)"
                    value={writing.rating ?? 0}
                    getSymbolLabel={(n) => `${n} of 5 stars`}
                    onChange={(rating) => put({ rating })}
                  />
                  {writing.rating !== undefined && (
                    <Anchor component="button" type="button" size="sm" onClick={() => put({ rating: undefined })}>
                      not rated
                    </Anchor>
                  )}
                </Group>
              </div>
              <PictureField pictureId={writing.pictureId} onChange={(pictureId) => put({ pictureId })} />
            </Stack>
          )}
        </Collapse>
      </Stack>
    </Card>
  );
}, sameAbout);
