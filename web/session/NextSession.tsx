import { Button } from '@mantine/core';
import { Link, Navigate } from 'react-router';
import { stages } from '#core/session';
import { type SessionBrief } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { Empty, Waiting, Page } from '../ui/ui.tsx';

const before = (s: SessionBrief, stage: (typeof stages)[number]): boolean => s.state.counts[stage] < s.state.batches;

/** Goes to the next session that still has this step before it; teaches when there is none. */
function Next({ to, stage, title, text }: { to: string; stage: (typeof stages)[number]; title: string; text: string }) {
  const { data, error, refetch } = useFrameQuery();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const next = data.open.find((s) => before(s, stage)) ?? data.open[data.open.length - 1];
  if (next) return <Navigate to={`/${to}/${next.id}`} replace />;
  return (
    <Page>
      <Empty title={title} text={text}>
        <Button component={Link} to="/plan">
          Plan a session
        </Button>
      </Empty>
    </Page>
  );
}

export const NextToShop = () => (
  <Next
    to="shop"
    stage="shopped"
    title="Nothing to buy"
    text="A list is made from a planned session: pick a few recipes and a day, and it stands here, summed and sorted by aisle."
  />
);
export const NextToCook = () => (
  <Next
    to="cook"
    stage="cooked"
    title="Nothing on the hob"
    text="Plan a session first; its work then stands here in order, with what each pot needs and when."
  />
);
export const NextToWorktop = () => (
  <Next
    to="worktop"
    stage="cooked"
    title="Nothing on the hob"
    text="Plan a session first; its work then stands on the worktop, a bench for each cook."
  />
);
export const NextToPack = () => (
  <Next
    to="pack"
    stage="packed"
    title="Nothing to pack"
    text="When a session is cooked, its pots stand here with the containers that fit and the labels to print."
  />
);
