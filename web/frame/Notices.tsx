import { Button, Group, Text } from '@mantine/core';
import { notifications, Notifications } from '@mantine/notifications';
import { useEffect } from 'react';
import { useCommands } from '../sync/commands.ts';
import { useAppDispatch, useAppSelector } from '../sync/store.ts';
import { closed, type Toast } from '../sync/toastSlice.ts';

const showMs = 10_000;

/** What a notice says, with the way back. */
function Words({ toast }: { toast: Toast }) {
  const waiting = useAppSelector((s) => s.outbox.pending.length > 0 && !s.outbox.online);
  const { undo } = useCommands();
  return (
    <Group wrap="nowrap">
      <Text span inherit className="grow">
        {toast.text}
        {waiting ? ' (kept here)' : ''}
      </Text>
      {toast.undo && (
        <Button variant="outline" size="sm" onClick={() => toast.undo && void undo(toast.undo)}>
          Undo
        </Button>
      )}
    </Group>
  );
}

/** What was just done, with undo for ten seconds; the next one takes its place, later all of it is in History. */
export default function Notices() {
  const toast = useAppSelector((s) => s.toast.current);
  const dispatch = useAppDispatch();
  useEffect(() => {
    notifications.clean();
    if (!toast) return;
    notifications.show({
      role: 'status',
      autoClose: showMs,
      message: <Words toast={toast} />,
      onClose: () => dispatch(closed(toast.id)),
      closeButtonProps: { 'aria-label': 'Close' },
    });
  }, [toast, dispatch]);
  return <Notifications position="bottom-center" limit={1} zIndex={290} transitionDuration={0} />;
}
