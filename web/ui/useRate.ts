import { useRef } from 'react';
import { rate } from '#core/commands';
import { countOf } from '#core/kitchen';
import { useCommands } from '../sync/commands.ts';

/** Says how a dish was, for one eater; said again at once it goes by what was said here before. */
export function useRate(): (
  dish: { recipeId: string; name: string; day: string },
  eater: { id: string; name: string; seen: string },
  stars: number,
) => void {
  const { log } = useCommands();
  const last = useRef(new Map<string, string>());
  return (dish, eater, stars) => {
    const key = `${dish.recipeId} ${eater.id}`;
    const act = rate(dish.recipeId, eater.id, stars, dish.day, last.current.get(key) ?? eater.seen);
    void log([act], `${countOf(stars, 'star')} from ${eater.name} for ${dish.name}`).then(([event]) => {
      if (event) last.current.set(key, event.id);
    });
  };
}
