import { Anchor, Badge, Group, Text, UnstyledButton } from '@mantine/core';
import { memo } from 'react';
import { sayAmount, sayRule, type ComposedFood } from '#core/recipe';
import type { UnitSystem } from '#core/kitchen';
import c from './Texts.module.css';

/** One food of a line as it will be weighed; a tap opens it to be corrected, an offer is taken in one. */
export const FoodRead = memo(function FoodRead({
  food,
  units,
  open,
  onOpen,
  onTake,
}: {
  food: ComposedFood;
  units: UnitSystem;
  open: boolean;
  onOpen: (lineId: string) => void;
  onTake: (food: ComposedFood, item: { id: string; name: string }) => void;
}) {
  const { line, offers, read } = food;
  const form = line.formText ?? line.form;
  // “chopped tomatoes” says it already
  const said = [form !== undefined && line.name.includes(form) ? undefined : form, line.note].filter(Boolean).join('; ');
  const grows = line.scaling.rule === 'proportional' || line.scaling.rule === 'toTaste' ? '' : (sayRule[line.scaling.rule] ?? '');
  const unknown = line.item.type === 'unmatched';
  const amount = sayAmount(line, units);
  return (
    <>
      <UnstyledButton
        className={c.food}
        aria-expanded={open}
        aria-label={`${amount} ${line.name}: correct it`}
        onClick={() => onOpen(line.id)}
      >
        <b>{read.asks && line.amount === read.amount ? <Badge color="tomato">{amount}?</Badge> : amount}</b>
        <span>
          <b>{line.name}</b>
          {said && (
            <Text span inherit c="dimmed">
              , {said}
            </Text>
          )}
          {grows && (
            <Text span inherit c="dimmed">
              ; {grows}
            </Text>
          )}
          {line.moment === 'cookDay' && (
            <Text span inherit c="dimmed">
              ; on the day
            </Text>
          )}
          {line.item.type === 'recipe' && (
            <Badge color="rim" ml={6}>
              your own
            </Badge>
          )}
          {unknown && (
            <Badge color={line.allergens ? 'rim' : 'saffron'} ml={6}>
              {line.allergens ? 'as you said' : 'not known'}
            </Badge>
          )}
        </span>
      </UnstyledButton>
      {unknown && !line.allergens && offers.length > 0 && (
        <Group gap={10} pl={6} pb={6} justify="flex-end">
          {offers.map((o) => (
            <Anchor
              component="button"
              type="button"
              size="sm"
              key={o.id}
              aria-label={`${line.name} is ${o.name}`}
              onClick={() => onTake(food, o)}
            >
              {o.name}?
            </Anchor>
          ))}
        </Group>
      )}
    </>
  );
});
