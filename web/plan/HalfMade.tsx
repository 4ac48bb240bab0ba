import { Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { sayWeekday } from '#core/kitchen';
import { useAppSelector } from '../sync/store.ts';
import { readPlanDraft } from './planDraft.ts';
import { Note } from '../ui/Note.tsx';

/** Plans that were begun on this device and not kept yet. */
export function HalfMade() {
  const drafts = useAppSelector((s) => s.drafts.byKey);
  const plans = Object.entries(drafts).flatMap(([key, d]) => {
    const plan = d.kind === 'plan' ? readPlanDraft(d.present) : undefined;
    return plan ? [{ key, path: d.path, name: d.name, day: plan.day }] : [];
  });
  return plans.map((p) => (
    <Note mb={14} role="status" key={p.key}>
      <Group>
        <Text className="grow" span inherit>
          <b>{p.name}</b> for {sayWeekday(p.day)} is half made, on this device only.
        </Text>
        <Button component={Link} variant="outline" size="sm" to={p.path}>
          Go on
        </Button>
      </Group>
    </Note>
  ));
}
