import { NativeSelect } from '@mantine/core';
import type { Place } from '#core/contract';

/** A shelf or basket of a freezer. */
export interface Spot {
  placeId: string;
  zoneId: string;
}

/** Every shelf and basket of the freezers among some cold places, in their order. */
export const spotsOf = (places: readonly Place[]): Spot[] =>
  places.filter((p) => p.kind === 'freezer' || p.kind === 'chest').flatMap((p) => p.zones.map((z) => ({ placeId: p.id, zoneId: z.id })));

/** Chooses a shelf or basket; with `prompt`, nothing is chosen to begin with. */
export function SpotSelect(props: {
  label: string;
  /** Above the field, not only for those who do not see it. */
  shown?: boolean;
  places: readonly Place[];
  spot?: Spot | undefined;
  prompt?: string;
  onChoose: (spot: Spot) => void;
}) {
  const { label, shown, places, spot, prompt, onChoose } = props;
  const spots = spotsOf(places);
  const at = spots.findIndex((s) => s.placeId === spot?.placeId && s.zoneId === spot.zoneId);
  return (
    <NativeSelect
      className="grow"
      {...(shown ? { label } : { 'aria-label': label })}
      value={at < 0 ? '' : at}
      onChange={(e) => {
        const chosen = e.currentTarget.value === '' ? undefined : spots[Number(e.currentTarget.value)];
        if (chosen) onChoose(chosen);
      }}
    >
      {prompt !== undefined && <option value="">{prompt}</option>}
      {places.map((p) => {
        const first = spots.findIndex((s) => s.placeId === p.id);
        return first < 0 ? null : (
          <optgroup key={p.id} label={p.name}>
            {p.zones.map((z, i) => (
              <option key={z.id} value={first + i}>
                {p.name}, {z.name}
              </option>
            ))}
          </optgroup>
        );
      })}
    </NativeSelect>
  );
}
