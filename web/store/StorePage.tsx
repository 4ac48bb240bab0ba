import { DndContext, DragOverlay } from '@dnd-kit/core';
import { Badge, Button, Group, Skeleton, Stack, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { putAway } from '#core/commands';
import { allKinds, countOf, sayDay } from '#core/kitchen';
import type { PackBrief, StoreAnswer } from '#core/queries';
import { readCode } from '#core/pack';
import { pilesOf } from '#core/store';
import { PastCard } from '../eat/PastCard.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { useStoreQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { useMeasures } from '../sync/measures.ts';
import { Columns } from '../ui/Columns.tsx';
import { Note } from '../ui/Note.tsx';
import { useTyped } from '../ui/useTyped.ts';
import { useAfterPaint } from '../ui/useAfterPaint.ts';
import { placeName } from '../ui/packWords.ts';
import { Page, PageHead, Waiting } from '../ui/ui.tsx';
import { EmptyStore } from './EmptyStore.tsx';
import { Freezer, type PackPile } from './Freezer.tsx';
import { PileCard } from './PileCard.tsx';
import { StoreList } from './StoreList.tsx';
import { carriedOf, sayCarrying, spotUnder, type Carried } from './carrying.ts';
import { useCarry } from './useCarry.ts';

/** One field for all: a name, a place, a code; Enter on a code opens its pack, also one that is long eaten, and on a slip of the hand the page that offers the near ones. */
function Search({ q, onChange, packs }: { q: string; onChange: (q: string) => void; packs: readonly PackBrief[] }) {
  const navigate = useNavigate();
  const [text, type] = useTyped(q, onChange);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        const codes = packs.map((p) => p.code);
        const read = readCode(text, codes);
        // a word that might be a mistyped code is one only when it leads to a pack
        const near = read.kind === 'solved' ? read.offers.filter((o) => codes.includes(o)) : read.kind === 'wrong' ? read.near : [];
        if (read.kind === 'exact') void navigate(`/p/${read.code}`);
        else if (near.length > 0) void navigate(`/p/${encodeURIComponent(text.trim())}`);
      }}
    >
      <TextInput
        w={{ base: '100%', sm: 280 }}
        type="search"
        placeholder="Name, place or the code on a lid"
        aria-label="Find packs: name, place or code"
        value={text}
        onChange={(e) => type(e.currentTarget.value)}
      />
    </form>
  );
}

/** What is searched for, in the address: words, a kind, the span brushed on the strip. */
function useSearch(data: StoreAnswer | undefined) {
  const [params, setParams] = useSearchParams();
  const change = (next: Record<string, string | undefined>): void =>
    setParams(
      (p) => {
        for (const [key, value] of Object.entries(next)) {
          if (value) p.set(key, value);
          else p.delete(key);
        }
        return p;
      },
      { replace: true },
    );
  const [q, kind, from, to] = ['q', 'kind', 'from', 'to'].map((key) => params.get(key) ?? '');
  const words = (q ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  const places = data?.places.map((p) => p.place) ?? [];
  const match = (p: PackBrief): boolean => {
    const text = `${p.name} ${p.code} ${placeName(places, p)}`.toLowerCase();
    return (
      (!kind || p.kind === kind) &&
      (!from || !to || (p.due.day !== undefined && p.due.day >= from && p.due.day <= to)) &&
      words.every((w) => text.includes(w))
    );
  };
  return { q: q ?? '', kind: kind ?? '', from, to, match, change, all: () => change({ q: '', kind: '', from: '', to: '' }) };
}

/** The store: each freezer with its packs as piles, searched by name, place, code, kind and span; a pile opens, moves, comes out. */
export function StorePage() {
  const { sayVolume } = useMeasures();
  const { data, error, refetch } = useStoreQuery();
  const search = useSearch(data);
  const [selected, setSelected] = useState<string>();
  const [carried, setCarried] = useState<Carried>();
  const { log } = useCommands();
  const sensors = useCarry();
  const painted = useAfterPaint();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  if (data.packs.length === 0 && data.past.length === 0) return <EmptyStore />;
  const { q, kind, from, to, match, change } = search;
  const places = data.places.map((p) => p.place);
  const freezers = data.places.filter((p) => p.place.kind === 'freezer' || p.place.kind === 'chest');
  const shown = data.packs.filter(match);
  const pack = data.packs.find((p) => p.packId === selected) ?? shown[0];
  const pile = pack && pilesOf(data.packs, 'spot').find((p) => p.packs.includes(pack));
  const loose = data.packs.filter((p) => p.status === 'unplaced');
  const freeMl = freezers.reduce((s, f) => s + f.room.freeMl, 0);
  const dishes = pilesOf(data.packs, 'dish').length;
  const isChosen = (p: PackPile): boolean => pack !== undefined && p.packs.includes(pack);
  const drop = (c: Carried | undefined, spot: { placeId: string; zoneId: string } | undefined): void => {
    setCarried(undefined);
    const moved = spot ? (c?.packs ?? []).filter((p) => p.placeId !== spot.placeId || p.zoneId !== spot.zoneId) : [];
    if (c && spot && moved.length > 0)
      void log(putAway(moved, spot), `${countOf(moved.length, 'pack')} of ${c.name} in ${placeName(places, spot)}`);
  };
  const drawn = (of: 'freezer' | 'chest') =>
    freezers
      .filter((f) => f.place.kind === of)
      .map((f) => (
        <Freezer
          key={f.place.id}
          place={f.place}
          room={f.room}
          packs={data.packs}
          isChosen={isChosen}
          dim={(p) => !p.packs.some(match)}
          onChoose={(p) => setSelected((p.packs.find(match) ?? p.packs[0])?.packId)}
        />
      ));
  return (
    <Page>
      <PageHead
        title="Store"
        lead={`${countOf(data.packs.length, 'pack')} of ${countOf(dishes, 'dish', 'dishes')}, ${countOf(data.dinners, 'dinner')}, ${sayVolume(Math.round(freeMl / 1000) * 1000)} free${data.probable.length > 0 ? `; ${data.probable.length} probably eaten` : ''}.`}
      >
        <Search q={q} onChange={(text) => change({ q: text })} packs={data.packs} />
        <Button component={Link} variant="outline" to="/store/count" title="Key n">
          Count packs in
        </Button>
      </PageHead>
      <PastCard packs={data.past.map((p) => ({ ...p, eatBy: p.due.day ?? data.today }))} today={data.today} />
      <Group gap={8} mb={14} className="chips" role="group" aria-label="Kind">
        {allKinds
          .filter((k) => data.packs.some((p) => p.kind === k))
          .map((k) => (
            <Button variant="chip" key={k} aria-pressed={kind === k} onClick={() => change({ kind: kind === k ? '' : k })}>
              <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}
            </Button>
          ))}
        {from && to && (
          <Button variant="chip" aria-pressed onClick={() => change({ from: '', to: '' })}>
            due {sayDay(from)} to {sayDay(to)} ✕
          </Button>
        )}
      </Group>
      {loose.length > 0 && (
        <Note tone="warn" mb={14}>
          {countOf(loose.length, 'pack')} filled and not put away:{' '}
          {loose
            .map((p) => `${p.name} ${p.code}`)
            .slice(0, 4)
            .join(', ')}
          . Choose one in the list and its place.
        </Note>
      )}
      <DndContext
        sensors={sensors}
        accessibility={sayCarrying(places)}
        onDragStart={(e) => setCarried(carriedOf(e))}
        onDragCancel={() => setCarried(undefined)}
        onDragEnd={(e) => drop(carriedOf(e), spotUnder(e))}
      >
        <Columns align="start" parts={[0.78, 1.3]}>
          <Stack>
            {drawn('freezer')}
            {pack && pile && (
              <PileCard pile={pile} pack={pack} places={places} today={data.today} onChoose={(p) => setSelected(p.packId)} />
            )}
          </Stack>
          <Stack>
            {drawn('chest')}
            {painted ? (
              <StoreList
                packs={shown}
                of={data.packs.length}
                places={places}
                chosen={pack}
                onChoose={(p) => setSelected(p.packId)}
                onAll={search.all}
              />
            ) : (
              <Skeleton h={400} radius={10} />
            )}
          </Stack>
        </Columns>
        <DragOverlay dropAnimation={null}>
          {carried && (
            <Badge color="rim" variant="filled" w="max-content">
              {countOf(carried.packs.length, 'pack')} of {carried.name}
            </Badge>
          )}
        </DragOverlay>
      </DndContext>
    </Page>
  );
}
