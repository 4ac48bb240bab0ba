import { Button, Group, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';

/** One line of text and a button: kept by Enter too, and emptied once it is. */
export function OneLine({
  label,
  placeholder,
  button,
  good = (text) => text.trim() !== '',
  onKeep,
  children,
}: {
  label: string;
  placeholder: string;
  button: string;
  good?: (text: string) => boolean;
  onKeep: (text: string) => void;
  /** What is made of the text so far. */
  children?: (text: string) => ReactNode;
}) {
  const [text, setText] = useState('');
  return (
    <Group
      component="form"
      gap={8}
      mt={10}
      onSubmit={(e) => {
        e.preventDefault();
        if (!good(text)) return;
        onKeep(text.trim());
        setText('');
      }}
    >
      <TextInput
        className="grow"
        aria-label={label}
        placeholder={placeholder}
        maxLength={400}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      <Button variant="outline" type="submit" disabled={!good(text)}>
        {button}
      </Button>
      {children?.(text)}
    </Group>
  );
}
