import { Anchor, Modal, Stack, Text } from '@mantine/core';
import { Link } from 'react-router';
import { dayOf } from '#core/kitchen';
import { useHomeQuery } from '../sync/api.ts';
import { now } from '../sync/clock.ts';
import { Note } from '../ui/Note.tsx';
import { HelperLinks } from './HelperLinks.tsx';
import { useChangeHome } from './useHome.ts';

/** A link for this session, where the work is. */
export default function HelperSheet({ sessionId, zone, onClose }: { sessionId: string; zone: string; onClose: () => void }) {
  const { data: home } = useHomeQuery();
  const { change, problem } = useChangeHome();
  return (
    <Modal opened onClose={onClose} title="A helper for one evening" size={560} closeButtonProps={{ 'aria-label': 'Close' }}>
      {home && home.via === 'home' && <Text>Helpers’ links are made at the computer that Tambo runs on.</Text>}
      {home && home.via === 'here' && !home.open && (
        <Text>
          Phones do not reach this kitchen yet. Open it to the home network in{' '}
          <Anchor component={Link} to="/kitchen?tab=household">
            Kitchen, Household
          </Anchor>
          ; then a helper needs nothing but a link.
        </Text>
      )}
      {home?.via === 'here' && home.open && (
        <Stack>
          {problem && (
            <Note tone="bad" role="alert">
              {problem.message}
            </Note>
          )}
          <HelperLinks home={home} change={change} zone={zone} today={dayOf(now(), zone)} only={sessionId} />
        </Stack>
      )}
    </Modal>
  );
}
