import type { Place } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import type { PlaceRoom } from '#core/store';
import { Cutaway } from '../draw/Cutaway.tsx';
import { useMeasures } from '../sync/measures.ts';

export function FreezerCard({
  f,
  data,
  match,
  filtered,
  selected,
  onSelect,
}: {
  f: { place: Place; room: PlaceRoom };
  data: readonly PackBrief[];
  match: (p: PackBrief) => boolean;
  filtered: boolean;
  selected: string | undefined;
  onSelect: (p: PackBrief) => void;
}) {
  const { sayVolume } = useMeasures();
  const packs = data.filter((p) => p.placeId === f.place.id && p.status === 'frozen');
  return (
    <section className="card" aria-label={f.place.name}>
      <div className="cardhead">
        <div>
          <h2 style={{ margin: 0 }}>
            {f.place.name}, {f.place.litres} L
          </h2>
          <div className="sub" style={{ fontSize: 15 }}>
            {f.place.note ? `${f.place.note}. ` : ''}
            {countOf(packs.length, 'pack')}, {sayVolume(Math.round(f.room.freeMl / 100) * 100)} free
          </div>
        </div>
        <span className="tag f">{f.place.temperatureC} °C</span>
      </div>
      <Cutaway place={f.place} room={f.room} packs={packs} selected={selected} dim={(p) => filtered && !match(p)} onSelect={onSelect} />
      <p className="sub" style={{ marginTop: 6 }}>
        {f.place.kind === 'chest' ? 'From above' : 'From the front'}, to scale: a tile’s area is its pack’s volume. Pale saffron is due
        within two weeks; a broken edge breaks easily.
      </p>
    </section>
  );
}
