import { Modal, Text, TextInput } from '@mantine/core';
import { IconBolt, IconBook2, IconCalendarEvent, IconCarrot, IconPackage } from '@tabler/icons-react';
import { useId, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { find, type FindEntry } from '#core/queries';
import { useFindQuery } from '../sync/api.ts';
import { actions } from './actions.ts';
import { Rows } from '../ui/Rows.tsx';

const icons = { action: IconBolt, recipe: IconBook2, session: IconCalendarEvent, pack: IconPackage, ingredient: IconCarrot } as const;
const names = { action: 'do', recipe: 'recipe', session: 'session', pack: 'pack', ingredient: 'ingredient' } as const;

/** Finds recipes, packs by name or code, sessions, ingredients and actions; arrows choose, Enter goes there. */
export default function Finder({ byCode, onClose }: { byCode: boolean; onClose: () => void }) {
  const { data = [] } = useFindQuery();
  const navigate = useNavigate();
  const listId = useId();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const found: readonly FindEntry[] = typed.trim()
    ? find(byCode ? data.filter((e) => e.type === 'pack') : [...actions, ...data], typed)
    : byCode
      ? []
      : actions;
  const chosen = Math.min(at, found.length - 1);
  const go = (entry: FindEntry | undefined): void => {
    if (!entry) return;
    onClose();
    void navigate(entry.to);
  };
  const onKey = (e: KeyboardEvent): void => {
    if (e.key === 'Enter') {
      e.preventDefault();
      go(found[chosen]);
    }
    const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (step === 0 || found.length === 0) return;
    e.preventDefault();
    const next = (chosen + step + found.length) % found.length;
    setAt(next);
    document.getElementById(`${listId}-${next}`)?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <Modal
      opened
      onClose={onClose}
      size={620}
      yOffset="8vh"
      title={
        <Text span variant="mid">
          {byCode ? 'Which pack?' : 'Find'}
        </Text>
      }
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <TextInput
        w="100%"
        size="lg"
        mt={6}
        data-autofocus
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls={listId}
        aria-activedescendant={found[chosen] ? `${listId}-${chosen}` : undefined}
        aria-label={byCode ? 'Code on the lid' : 'Find a recipe, a pack, a session or what to do'}
        placeholder={byCode ? 'Code on the lid, or its name' : 'A dish, a code on a lid, a day, what to do'}
        autoComplete="off"
        value={typed}
        onChange={(e) => {
          setTyped(e.currentTarget.value);
          setAt(0);
        }}
        onKeyDown={onKey}
      />
      {typed.trim() && found.length === 0 && (
        <Text inherit c="dimmed" py={14} px={4} role="status">
          Nothing of that name or code. Codes have five signs, such as K4MD8; an eaten pack is in History.
        </Text>
      )}
      <Rows className="findlist" id={listId} role="listbox" aria-label="Found">
        {found.map((e, i) => {
          const Icon = icons[e.type];
          return (
            // the keys stand on the field above, as a combobox has them
            <li key={e.type + e.id} id={`${listId}-${i}`} role="option" aria-selected={i === chosen} onClick={() => go(e)}>
              <Icon size={22} stroke={1.7} aria-hidden />
              <Text className="grow" span inherit>
                <b>{e.name}</b>
                {e.type !== 'action' && (
                  <Text span size="xs" c="dimmed" display="block">
                    {e.note}
                  </Text>
                )}
              </Text>
              <Text span size="xs" c="dimmed">
                {names[e.type]}
              </Text>
            </li>
          );
        })}
      </Rows>
    </Modal>
  );
}
