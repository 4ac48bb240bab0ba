import { Kbd, Modal, Table, Text } from '@mantine/core';
import { Link } from 'react-router';
import { stations } from './stations.ts';
import { Note } from '../ui/Note.tsx';

const keys: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'find anything: a dish, a code, a session, what to do'],
  ['k', 'find a pack by the code on its lid'],
  ['e', 'log what was eaten'],
  ['n', 'something new here: a recipe, a session, a count'],
  ['u', 'take back what was just done'],
  ['?', 'this sheet'],
];

/** Every key, and where single letters are switched off. */
export default function KeysSheet({ onClose, singleKeys }: { onClose: () => void; singleKeys: boolean }) {
  return (
    <Modal
      opened
      onClose={onClose}
      size={560}
      title={
        <Text span variant="mid">
          Keys
        </Text>
      }
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      {!singleKeys && <Note tone="warn">Single letters and digits are switched off; Ctrl K still works.</Note>}
      <Table>
        <Table.Tbody>
          {keys.map(([key, what]) => (
            <Table.Tr key={key}>
              <Table.Td>
                <Kbd>{key}</Kbd>
              </Table.Td>
              <Table.Td>{what}</Table.Td>
            </Table.Tr>
          ))}
          {stations.map((s, i) => (
            <Table.Tr key={s.to}>
              <Table.Td>
                <Kbd>{i + 1}</Kbd>
              </Table.Td>
              <Table.Td>{s.name}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Text inherit mt={12}>
        <Link to="/kitchen?tab=device" onClick={onClose}>
          Switch single letters off or on
        </Link>
      </Text>
    </Modal>
  );
}
