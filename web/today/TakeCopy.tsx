import { Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { useAskForCopyLaterMutation } from '../sync/api.ts';
import { Note } from '../ui/Note.tsx';

/** Once in a while: a copy that lies on the same disk is lost with it. */
export function TakeCopy() {
  // without a connection it is simply asked again
  const [later] = useAskForCopyLaterMutation();
  return (
    <Note mt={16} role="status">
      <Group>
        <Text className="grow" span inherit>
          All copies of your household lie on this one machine. Take one away to a stick or another computer: it takes a minute.
        </Text>
        <Button component={Link} variant="outline" size="sm" to="/kitchen?tab=data">
          Take a copy
        </Button>
        <Button variant="outline" size="sm" onClick={() => void later()}>
          Later
        </Button>
      </Group>
    </Note>
  );
}
