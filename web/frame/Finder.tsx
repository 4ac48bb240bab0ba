import { Button, Combobox, Modal, Text, TextInput, useCombobox } from '@mantine/core';
import { IconBolt, IconBook2, IconCalendarEvent, IconCarrot, IconPackage, IconQrcode } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { find, type FindEntry } from '#core/queries';
import { useFindQuery } from '../sync/api.ts';
import { actions } from './actions.ts';

const icons = { action: IconBolt, recipe: IconBook2, session: IconCalendarEvent, pack: IconPackage, ingredient: IconCarrot } as const;
const names = { action: 'do', recipe: 'recipe', session: 'session', pack: 'pack', ingredient: 'ingredient' } as const;

/** Finds recipes, packs by name or code, sessions, ingredients and actions; arrows choose, Enter goes there. */
export default function Finder({ byCode, onClose }: { byCode: boolean; onClose: () => void }) {
  const { data = [] } = useFindQuery();
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const combobox = useCombobox({ opened: true });
  const found: readonly FindEntry[] = typed.trim()
    ? find(byCode ? data.filter((e) => e.type === 'pack') : [...actions, ...data], typed)
    : byCode
      ? []
      : actions;
  const { selectFirstOption } = combobox;
  useEffect(() => {
    // Enter takes the first, before any arrow is pressed
    selectFirstOption();
  }, [found.length, typed, selectFirstOption]);
  const go = (to: string): void => {
    onClose();
    void navigate(to);
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
      <Combobox store={combobox} onOptionSubmit={go} withinPortal={false}>
        <Combobox.EventsTarget withExpandedAttribute>
          <TextInput
            w="100%"
            size="lg"
            mt={6}
            data-autofocus
            aria-label={byCode ? 'Code on the lid' : 'Find a recipe, a pack, a session or what to do'}
            placeholder={byCode ? 'Code on the lid, or its name' : 'A dish, a code on a lid, a day, what to do'}
            value={typed}
            onChange={(e) => setTyped(e.currentTarget.value)}
          />
        </Combobox.EventsTarget>
        {byCode && typed.trim() === '' && (
          <Button variant="outline" mt={10} leftSection={<IconQrcode size={20} aria-hidden />} onClick={() => go('/scan')}>
            Read it with the camera
          </Button>
        )}
        {typed.trim() && found.length === 0 && (
          <Text inherit c="dimmed" py={14} px={4} role="status">
            Nothing of that name or code. Codes have five signs, such as K4MD8; an eaten pack is in History.
          </Text>
        )}
        <Combobox.Options aria-label="Found" mt={8}>
          {found.map((e) => {
            const Icon = icons[e.type];
            return (
              <Combobox.Option key={e.type + e.id} value={e.to}>
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
              </Combobox.Option>
            );
          })}
        </Combobox.Options>
      </Combobox>
    </Modal>
  );
}
