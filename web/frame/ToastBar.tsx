import { UnstyledButton, VisuallyHidden } from '@mantine/core';
import { useEffect } from 'react';
import { useCommands } from '../sync/commands.ts';
import { useAppDispatch, useAppSelector } from '../sync/store.ts';
import { closed } from '../sync/toastSlice.ts';

const showMs = 10_000;

/** What was just done, with undo for ten seconds; later it is in History. */
export function ToastBar() {
  const toast = useAppSelector((s) => s.toast.current);
  const waiting = useAppSelector((s) => s.outbox.pending.length > 0 && !s.outbox.online);
  const dispatch = useAppDispatch();
  const { undo } = useCommands();
  useEffect(() => {
    if (!toast) return undefined;
    const timer = setTimeout(() => dispatch(closed(toast.id)), showMs);
    return () => clearTimeout(timer);
  }, [toast, dispatch]);
  if (!toast) return <VisuallyHidden component="div" role="status" />;
  return (
    <div className="toast" role="status">
      <span>
        {toast.text}
        {waiting ? ' (kept here)' : ''}
      </span>
      {toast.undo && <UnstyledButton onClick={() => toast.undo && void undo(toast.undo)}>Undo</UnstyledButton>}
      <UnstyledButton className="x" aria-label="Close" onClick={() => dispatch(closed(toast.id))}>
        ✕
      </UnstyledButton>
    </div>
  );
}
