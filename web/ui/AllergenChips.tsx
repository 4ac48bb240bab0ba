import { useFrameQuery } from '../sync/api.ts';

/** The allergens that law names, each on or off. */
export function AllergenChips({ label, value, onChange }: { label: string; value: readonly string[]; onChange: (v: string[]) => void }) {
  const names = useFrameQuery().data?.allergenNames ?? {};
  return (
    <div className="chips" role="group" aria-label={label}>
      {Object.entries(names).map(([id, name]) => {
        const on = value.includes(id);
        return (
          <button
            type="button"
            key={id}
            className={on ? 'chip on' : 'chip'}
            aria-pressed={on}
            onClick={() => onChange(on ? value.filter((x) => x !== id) : [...value, id])}
          >
            {name}
          </button>
        );
      })}
    </div>
  );
}
