import { Button, Group, Modal, Stack, Text, Textarea } from '@mantine/core';
import { useState } from 'react';

/** Longer than any recipe that is pasted. */
const mostChars = 60_000;

/** A recipe as text, from wherever: title, yield, lines and method in any order, with what stands around. */
export function PasteSheet({ onText, onClose }: { onText: (text: string) => void; onClose: () => void }) {
  const [text, setText] = useState('');
  return (
    <Modal opened onClose={onClose} title="Paste a recipe" size={760} closeButtonProps={{ 'aria-label': 'Close' }}>
      <Stack>
        <Text c="dimmed">
          Select all of it where it stands, copy, paste here. Headings, columns and the story around are told apart; whatever is not clear
          is asked.
        </Text>
        <Textarea
          aria-label="The recipe as text"
          data-autofocus
          minRows={12}
          maxRows={18}
          autosize
          maxLength={mostChars}
          value={text}
          onChange={(e) => setText(e.currentTarget.value)}
        />
        <Group>
          <Button disabled={text.trim() === ''} onClick={() => onText(text)}>
            Read it
          </Button>
          <Text c="dimmed" size="sm">
            What you have written already stays.
          </Text>
        </Group>
      </Stack>
    </Modal>
  );
}
