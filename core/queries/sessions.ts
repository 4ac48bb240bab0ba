import type { Day, Instant, Session } from '#core/contract';
import { addDays } from '#core/kitchen';
import type { LabelsAnswer, SessionBrief, SessionsAnswer, Unreadable } from './answers.ts';
import {
  heatOfPack,
  labelAllergy,
  labelContent,
  labelSays,
  printAgain,
  sessionStanding,
  sessionView,
  stages,
  type SessionView,
  type World,
} from '#core/session';
import type { Records } from './records.ts';

/** Sessions whose day lies further back are listed by name only; nobody packs a year-old pot. */
export const recentDays = 30;

/** One session with everything derived. @example viewOf(saturday, world, records, now).list // what to buy for it */
export const viewOf = (session: Session, world: World, records: Records, now: Instant): SessionView =>
  sessionView(session, records.eventsOf(session.id), records.packsOf(session.id), world, now);

function briefOf(session: Session, world: World, records: Records): SessionBrief {
  const { state, dishes, longJobs } = sessionStanding(session, records.eventsOf(session.id), records.packsOf(session.id), world);
  return {
    id: session.id,
    name: session.name,
    day: session.day,
    dishes,
    portions: session.batches.reduce((s, b) => s + b.portions, 0),
    state,
    longJobs,
  };
}

interface Standing {
  made: SessionBrief[];
  broken: Unreadable[];
}

/** Each by itself: one that cannot be worked out is named, and the others stand. */
const standingOf = (world: World, records: Records, today: Day): Standing =>
  records.cached(`sessions ${today}`, () => {
    const standing: Standing = { made: [], broken: [] };
    for (const s of records.sessions().filter((x) => x.day >= addDays(today, -recentDays))) {
      try {
        standing.made.push(briefOf(s, world, records));
      } catch (error) {
        standing.broken.push({ table: 'session', id: s.id, name: s.name, why: error instanceof Error ? error.message : String(error) });
      }
    }
    return standing;
  });

/**
 * Sessions lately and to come, with where they stand.
 * @example recentSessions(world, records, '2026-11-24')[0]?.state.stage // 'shopped'
 */
export const recentSessions = (world: World, records: Records, today: Day): SessionBrief[] => standingOf(world, records, today).made;

/** Sessions whose figures cannot be worked out. */
export const brokenSessions = (world: World, records: Records, today: Day): Unreadable[] => standingOf(world, records, today).broken;

/**
 * Not stored away yet: the next thing to do is on one of these.
 * @example openOf(sessions)[0] // the nearest session that is not stored away
 */
export const openOf = (sessions: readonly SessionBrief[]): SessionBrief[] =>
  sessions.filter((s) => s.state.batches > 0 && s.state.stage !== stages[stages.length - 1]).toSorted((a, b) => a.day.localeCompare(b.day));

/**
 * Sessions lately and to come with where they stand, older ones by name.
 * @example sessionsAnswer(world, records, '2026-11-24').older // by name and day only
 */
export function sessionsAnswer(world: World, records: Records, today: Day): SessionsAnswer {
  const recent = recentSessions(world, records, today);
  const known = new Set(recent.map((s) => s.id));
  return {
    sessions: recent.toSorted((a, b) => b.day.localeCompare(a.day)),
    older: records
      .sessions()
      .filter((s) => !known.has(s.id))
      .map((s) => ({ id: s.id, name: s.name, day: s.day }))
      .toSorted((a, b) => b.day.localeCompare(a.day)),
  };
}

/** What stands on the labels of a session's packs. @example labelsAnswer(saturday, world, records, now).labels */
export function labelsAnswer(session: Session, world: World, records: Records, now: Instant): LabelsAnswer {
  const packs = viewOf(session, world, records, now).batches.flatMap((b) => b.packs);
  return {
    session,
    labels: packs.map((p) => labelContent(p, world.allergenNames, heatOfPack(p, world), labelAllergy(p, world))),
    says: Object.fromEntries(
      packs.map((p) => [
        p.packId,
        { allergy: labelSays(p, world), seen: p.seen ?? p.packId, labelled: p.labelled !== undefined, printAgain: printAgain(p, world) },
      ]),
    ),
    address: world.household.address ?? '',
  };
}
