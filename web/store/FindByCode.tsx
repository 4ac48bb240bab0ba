import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';

/** Finds a pack by the code on its lid. */
export function FindByCode() {
  const [code, setCode] = useState('');
  const navigate = useNavigate();
  return (
    <Group
      wrap="nowrap"
      component="form"
      gap={6}
      onSubmit={(e) => {
        e.preventDefault();
        if (code.trim()) void navigate(`/p/${encodeURIComponent(code.trim())}`);
      }}
    >
      <TextInput
        w={150}
        lts={1}
        placeholder="Code on the lid"
        aria-label="Code on the lid"
        value={code}
        onChange={(e) => setCode(e.currentTarget.value)}
      />
      <Button type="submit">Find a pack</Button>
    </Group>
  );
}
