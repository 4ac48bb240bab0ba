import type { EventData, EventType, Id } from '#core/contract';

/** Meant each time it is tapped: one more stepper's step, 5 more minutes. */
export const again = Symbol('again');

/** Something that a cook did, before it has its id, its device and its moment: what it is about, what is said, and what the page had seen of it. */
export type Act = {
  [T in EventType]: {
    type: T;
    subjects: Id[];
    data: EventData<T>;
    /** The newest event the page had seen of it; `again` where each tap is meant by itself. */
    seen: string | typeof again;
  };
}[EventType];

/** A pack as a page shows it: its id, and the newest event of it, without which it was only just filled. */
export interface SeenPack {
  packId: Id;
  seen?: string | undefined;
}

/** One act on a pack. */
export const onPack = <T extends EventType>(type: T, pack: SeenPack, data: EventData<T>): Act =>
  ({ type, subjects: [pack.packId], seen: pack.seen ?? pack.packId, data }) as Act;

/** An entry is taken back; taking that back brings it back. @example takeBack({ id: 'e1', subjects: ['tub7'] }) */
export const takeBack = ({ id, subjects, seen = '' }: { id: Id; subjects: readonly Id[]; seen?: string | undefined }): Act => ({
  type: 'undone',
  subjects: [...subjects],
  seen,
  data: { eventId: id },
});
