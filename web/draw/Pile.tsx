import { UnstyledButton } from '@mantine/core';
import type { CSSProperties, ReactNode, Ref } from 'react';
import { sayDay, sayPortions } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import type { Pile as PileOf } from '#core/store';
import { KindMark } from './KindMark.tsx';
import c from './Pile.module.css';

/** Square points of the drawing for a millilitre: a two-portion tub is about 110 by 65. */
const areaPerMl = 9;
/** A name and a number can still be read on the smallest, and the largest leaves room beside it. */
const size = { leastW: 116, mostW: 176, leastH: 46, mostH: 84, ratio: 1.75 };
/** Edges that are drawn behind the front. */
const mostEdges = 5;

/** How large the front of a pile is: as its packs are, within what can be read. */
function frontOf(outerMl: number): { w: number; h: number } {
  const area = outerMl * areaPerMl;
  const w = Math.round(Math.min(size.mostW, Math.max(size.leastW, Math.sqrt(area * size.ratio))));
  return { w, h: Math.round(Math.min(size.mostH, Math.max(size.leastH, area / w))) };
}

/** `2 of 4 to 6`: packs, and the portions in each. */
export const sayEach = (p: Pick<PileOf, 'least' | 'most'>): string =>
  p.least === p.most ? sayPortions(p.least) : `${sayPortions(p.least)} to ${sayPortions(p.most)}`;

interface Props {
  pile: PileOf<PackBrief>;
  chosen: boolean;
  dim: boolean;
  label: string;
  onChoose: () => void;
  /** What dragging needs of it. */
  drag?: { ref: Ref<HTMLButtonElement>; props: object; moving: boolean };
}

/** Packs of one dish lying on one another, the soonest due on top: what, how many, by when. */
export function Pile({ pile, chosen, dim, label, onChoose, drag }: Props): ReactNode {
  const { w, h } = frontOf(pile.outerMl / pile.packs.length);
  const edges = Math.min(mostEdges, pile.packs.length - 1);
  const daysLeft = pile.packs[0]?.due.daysLeft ?? 0;
  return (
    <UnstyledButton
      ref={drag?.ref}
      {...drag?.props}
      className={c.pile}
      aria-label={label}
      aria-pressed={chosen}
      data-due={daysLeft < 0 ? 'past' : daysLeft <= 14 ? 'soon' : undefined}
      data-brittle={pile.packs.some((p) => p.brittle) || undefined}
      data-dim={dim || undefined}
      data-moving={drag?.moving || undefined}
      style={{ '--w': `${w}px`, '--h': `${h}px`, '--edges': edges } as CSSProperties}
      onClick={onChoose}
    >
      {Array.from({ length: edges }, (_, i) => (
        <i key={i} style={{ '--i': edges - i } as CSSProperties} />
      ))}
      <span className={c.front}>
        <span className={c.name}>
          <KindMark kind={pile.kind} size={15} />
          <b>{pile.name}</b>
        </span>
        <span>
          <b className={c.count}>{pile.packs.length}</b> of {sayEach(pile)}
        </span>
        {h > 56 && <small>{pile.soonest === undefined ? 'no date' : `by ${sayDay(pile.soonest)}`}</small>}
      </span>
    </UnstyledButton>
  );
}
