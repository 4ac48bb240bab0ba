import { useSearchParams } from 'react-router';

/** Which sheet is open, said in the address: a reload opens it again, going back closes it. */
export function useOpened(name = 'edit'): { id: string | undefined; open: (id: string) => void; close: () => void } {
  const [params, setParams] = useSearchParams();
  const to = (id: string | undefined): void =>
    setParams(
      (p) => {
        const next = new URLSearchParams(p);
        if (id === undefined) next.delete(name);
        else next.set(name, id);
        return next;
      },
      { replace: id === undefined },
    );
  return { id: params.get(name) ?? undefined, open: (id) => to(id), close: () => to(undefined) };
}
