import { useState } from 'react';
import { Link } from 'react-router';
import type { Container, Place } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { KitchenAnswer } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { ContainerShelf } from './ContainerShelf.tsx';
import { ContainerForm } from './ContainerForm.tsx';
import { PlaceForm } from './PlaceForm.tsx';
import { useMeasures } from '../sync/measures.ts';

export function Containers({ data }: { data: KitchenAnswer }) {
  const [editing, setEditing] = useState<Container | 'new'>();
  return (
    <>
      <section className="card" aria-label="What you can pack in">
        <div className="cardhead">
          <h2>What you can pack in</h2>
          <span className="quiet">side by side at one scale; free now, and what the next session wants</span>
        </div>
        {data.containers.length === 0 ? (
          <p className="quiet">Nothing yet. Add tubs, bags and pans; common ones are one tap.</p>
        ) : (
          <ContainerShelf list={data.containers} onEdit={setEditing} />
        )}
        <div style={{ marginTop: 14 }}>
          <button type="button" className="btn o" onClick={() => setEditing('new')}>
            Add a container
          </button>
        </div>
      </section>
      {editing && (
        <ContainerForm
          container={editing === 'new' ? undefined : editing}
          presets={data.presets}
          materials={data.materials}
          onClose={() => setEditing(undefined)}
        />
      )}
    </>
  );
}

export function Places({ data }: { data: KitchenAnswer }) {
  const { sayVolume } = useMeasures();
  const [editing, setEditing] = useState<Place | 'new'>();
  return (
    <>
      <div className="grid" style={{ gridTemplateColumns: 'repeat(auto-fill,minmax(330px,1fr))' }}>
        {data.places.map(({ place, room }) => (
          <section key={place.id} className="card" aria-label={place.name}>
            <div className="cardhead">
              <h2>{place.name}</h2>
              <span className="tag f">{place.temperatureC} °C</span>
            </div>
            <div>
              <span className="big">{place.litres}</span>
              <span className="unit">
                L
                {place.kind === 'freezer' || place.kind === 'chest'
                  ? `, ${sayVolume(Math.round(room.freeMl / 1000) * 1000)} of it free`
                  : ''}
              </span>
            </div>
            <p className="sub" style={{ fontSize: 15, marginTop: 4 }}>
              {place.zones.map((z) => z.name).join(', ')}. {place.note ?? ''}
            </p>
            {(place.freezingKgPerDay !== undefined || place.levelPlaces !== undefined) && (
              <p className="sub" style={{ fontSize: 15 }}>
                {[
                  place.freezingKgPerDay !== undefined ? `freezes ${place.freezingKgPerDay} kg a day` : '',
                  place.levelPlaces !== undefined ? countOf(place.levelPlaces, 'level place') : '',
                ]
                  .filter(Boolean)
                  .join(', ')}
              </p>
            )}
            <div className="row wrap" style={{ gap: 8, marginTop: 4 }}>
              {place.trust === 'some' && <span className="tag s">trusted so far</span>}
              {place.trust === 'little' && <span className="tag t">trusted little</span>}
              {place.prefers.map((k) => (
                <span key={k} className="row" style={{ gap: 4 }}>
                  <KindMark kind={k} size={16} /> <span className="sub">{k}</span>
                </span>
              ))}
            </div>
            {(place.kind === 'freezer' || place.kind === 'chest') && (
              <div
                className="bar"
                style={{ marginTop: 8 }}
                role="img"
                aria-label={`${Math.round((room.usedMl / room.usableMl) * 100)} % full`}
              >
                <i style={{ width: `${Math.min(100, (room.usedMl / room.usableMl) * 100)}%` }} />
              </div>
            )}
            <div className="row" style={{ marginTop: 10 }}>
              <button type="button" className="link s" onClick={() => setEditing(place)}>
                change
              </button>
              {room.packs > 0 && (
                <Link className="sub" to="/store">
                  {countOf(room.packs, 'pack')} in it
                </Link>
              )}
            </div>
          </section>
        ))}
        <section className="card empty">
          <h2>Another cold place</h2>
          <p>A freezer, a chest, a fridge with a shelf to thaw on.</p>
          <button type="button" className="btn o" onClick={() => setEditing('new')}>
            Add one
          </button>
        </section>
      </div>
      {editing && <PlaceForm place={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </>
  );
}
