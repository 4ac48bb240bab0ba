import { Anchor, Button, Card, Group, Text, TextInput, Title, VisuallyHidden } from '@mantine/core';
import { memo, useState } from 'react';
import type { Recipe } from '#core/contract';
import { fromNumber, sayDayYear, toNumber, unitFacts } from '#core/kitchen';
import { readNote, type NoteOffer } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { OneLine } from '../ui/OneLine.tsx';
import { Section } from '../ui/ui.tsx';
import { numberIn } from './target.ts';
import { useRevise } from './useRevise.ts';

type Note = NonNullable<Recipe['notes']>[number];

const amountText = (q: NoteOffer['from']): string =>
  `${toNumber(q.amount).toLocaleString('en-GB', { maximumFractionDigits: 2 })} ${unitFacts[q.unit].short}`.trim();

/** A note with the amount it would change; the figure can be moved before it is taken up. */
function Offer({ offer, onTake }: { offer: NoteOffer; onTake: (amount: string) => void }) {
  const [text, setText] = useState(String(Number(toNumber(offer.to.amount).toFixed(2))));
  const n = numberIn(text);
  const good = n > 0 && Number.isFinite(n);
  return (
    <Group gap={8} mt={6}>
      <span>
        Use <VisuallyHidden>amount of {offer.name}</VisuallyHidden>
      </span>
      <TextInput
        error={!good}
        w={84}
        ta="right"
        fw={700}
        inputMode="decimal"
        aria-label={`New amount of ${offer.name}`}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      <span>
        {unitFacts[offer.to.unit].short} {offer.name}{' '}
        <Text span inherit c="dimmed">
          instead of {amountText(offer.from)}
          {offer.how === 'guess' ? ', a tenth as a start' : ''}
        </Text>
      </span>
      <Button size="sm" disabled={!good} onClick={() => onTake(fromNumber(n))}>
        Take it up
      </Button>
    </Group>
  );
}

/** What to do otherwise next time: offered as a changed amount where the note says so. */
export const NotesCard = memo(function NotesCard({ data }: { data: RecipeAnswer }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const { recipe, revision } = data;
  const open = (recipe.notes ?? []).filter((n) => !n.doneIn);
  const lines = revision.lines.filter((l) => l.moment === 'batch');
  const old = revision.note && !open.some((n) => n.text === revision.note) ? revision.note : undefined;
  const keep = (notes: Note[], says: string): void =>
    void write([{ table: 'recipe', id: recipe.id, data: { ...recipe, notes }, was: recipe }], says);
  const take = (offer: NoteOffer, amount: string, note?: Note): void => {
    const made = revise(
      (r) => {
        const { note: written, ...rest } = r;
        const changed = {
          ...rest,
          lines: r.lines.map((l) =>
            l.id === offer.lineId
              ? { ...l, amount, unit: offer.to.unit, written: `${amountText({ amount, unit: offer.to.unit })} ${l.name}` }
              : l,
          ),
        };
        return note || !written ? { ...changed, ...(written && { note: written }) } : changed;
      },
      (r, revisionId) => (note ? { ...r, notes: (r.notes ?? []).map((n) => (n.id === note.id ? { ...n, doneIn: revisionId } : n)) } : r),
    );
    void write(made, `${offer.name}: ${amountText({ amount, unit: offer.to.unit })} from now on`);
  };
  return (
    <Card data-later aria-label="Next time">
      <Title order={2}>Next time</Title>
      {open.length === 0 && !old && (
        <Text inherit c="dimmed">
          Nothing noted. Write what to do otherwise, such as “use 850 ml water”.
        </Text>
      )}
      {old && (
        <div>
          <p>“{old}”</p>
          {[readNote(old, lines)].map((offer) => offer && <Offer key={revision.id} offer={offer} onTake={(a) => take(offer, a)} />)}
        </div>
      )}
      {open.map((n) => {
        const offer = readNote(n.text, lines);
        return (
          <Section py={8} key={n.id}>
            <Group wrap="nowrap" align="baseline">
              <Text className="grow" span inherit>
                “{n.text}”{' '}
                <Text span size="xs" c="dimmed">
                  {sayDayYear(n.day)}
                </Text>
              </Text>
              <Anchor
                component="button"
                size="xs"
                type="button"
                onClick={() =>
                  keep(
                    (recipe.notes ?? []).filter((x) => x.id !== n.id),
                    'The note is gone',
                  )
                }
              >
                done with it
              </Anchor>
            </Group>
            {offer && <Offer key={`${n.id}${revision.id}`} offer={offer} onTake={(a) => take(offer, a, n)} />}
          </Section>
        );
      })}
      <OneLine
        label="Note for next time"
        placeholder="use 850 ml water"
        button="Note it"
        onKeep={(said) => keep([...(recipe.notes ?? []), { id: newId(), text: said, day: data.today }], 'Noted for next time')}
      />
    </Card>
  );
});
