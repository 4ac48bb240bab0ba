import type { Place } from '#core/contract';

/** Chooses a shelf or basket of the freezers; choosing is moving. */
export function MoveTo({ places, onMove }: { places: readonly Place[]; onMove: (to: { placeId: string; zoneId: string }) => void }) {
  const freezers = places.filter((p) => p.kind === 'freezer' || p.kind === 'chest');
  const choose = (value: string): void => {
    const [placeId = '', zoneId = ''] = value.split('|');
    if (placeId) onMove({ placeId, zoneId });
  };
  return (
    <select className="field" aria-label="Move to" value="" onChange={(e) => choose(e.currentTarget.value)}>
      <option value="">Move to...</option>
      {freezers.map((f) => (
        <optgroup key={f.id} label={f.name}>
          {f.zones.map((z) => (
            <option key={z.id} value={`${f.id}|${z.id}`}>
              {f.name}, {z.name}
            </option>
          ))}
        </optgroup>
      ))}
    </select>
  );
}
