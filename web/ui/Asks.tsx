import { Button, Group, Modal } from '@mantine/core';
import type { ReactNode } from 'react';

/** A question before something goes that other things hang on. */
export const Asks = ({ title, onLeave, children }: { title: string; onLeave: () => void; children: ReactNode }) => (
  <Modal opened onClose={onLeave} title={title} closeButtonProps={{ 'aria-label': 'Close' }}>
    {children}
    <Group mt={14}>
      <Button variant="outline" onClick={onLeave}>
        Leave it as it was
      </Button>
    </Group>
  </Modal>
);
