import type { z } from 'zod';
import type { WritableOf } from '#core/contract';
import type { NewChange } from '../sync/commands.ts';
import { useCommands } from '../sync/commands.ts';
import { useContractForm, type ContractForm, type FormOptions } from '../form/useContractForm.ts';

/** Documents of the kitchen that a sheet edits whole. */
type Table = 'eater' | 'container' | 'equipment' | 'place';
type Named = { id: string; name: string };

interface Options<T extends Table, S extends z.ZodObject> extends Pick<FormOptions<S>, 'schema' | 'together'> {
  table: T;
  /** Part of the kitchen it stands in. */
  tab: string;
  /** How a new one is opened. */
  fresh?: string;
  /** As it is kept; undefined for a new one. */
  stored: z.output<S> | undefined;
  /** How a new one begins; also what a kept one leaves open. */
  blank: () => Partial<z.output<S>>;
  /** What follows from what was typed. */
  finish?: (value: z.output<S>) => z.output<S>;
  says: (value: z.output<S>) => string;
  goneSays: (name: string) => string;
  /** Asked before it is kept or removed, when other things hang on it; goes on by `go`. Without it, it goes on at once. */
  first?: (after: z.output<S> | null, go: () => void) => void;
  onClose: () => void;
}

/** A form over one document of the kitchen: kept, it is written; removed, it can be taken back. */
export function useDocumentForm<T extends Table, S extends z.ZodObject>(
  o: Options<T, S>,
): { form: ContractForm<S>; remove: (() => void) | undefined } {
  const { write } = useCommands();
  const { stored } = o;
  const id = (stored as Named | undefined)?.id;
  const change = (document: Named | null, was: Named | null, says: string): void =>
    void write(
      [
        {
          table: o.table,
          id: document?.id ?? was?.id ?? '',
          data: document as WritableOf<T> | null,
          was: was as WritableOf<T> | null,
        } as NewChange,
      ],
      says,
    );
  const form = useContractForm<S>({
    schema: o.schema,
    was: stored ?? null,
    blank: o.blank(),
    draftKey: `${o.table} ${id ?? o.fresh ?? 'new'}`,
    name: (typed) => (typed as unknown as Named).name.trim() || 'Something new',
    path: `/kitchen?tab=${o.tab}&edit=${id ?? o.fresh ?? 'new'}`,
    ...(o.together && { together: o.together }),
    onKeep: (value, was) => {
      const whole = o.finish?.(value) ?? value;
      const go = (): void => {
        change(whole as unknown as Named, was as Named | null, o.says(whole));
        form.drop();
        o.onClose();
      };
      if (o.first) o.first(whole, go);
      else go();
    },
  });
  return {
    form,
    remove:
      stored &&
      (() => {
        const was = stored as unknown as Named;
        const go = (): void => {
          change(null, was, o.goneSays(was.name));
          form.drop();
          o.onClose();
        };
        if (o.first) o.first(null, go);
        else go();
      }),
  };
}
