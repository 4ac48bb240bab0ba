import { Modal } from '@mantine/core';
import { Link } from 'react-router';
import { stations } from './stations.ts';

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
    <Modal opened onClose={onClose} size={560} title={<span className="mid">Keys</span>} closeButtonProps={{ 'aria-label': 'Close' }}>
      {!singleKeys && <p className="note warn">Single letters and digits are switched off; Ctrl K still works.</p>}
      <table className="plain keys">
        <tbody>
          {keys.map(([key, what]) => (
            <tr key={key}>
              <td>
                <kbd>{key}</kbd>
              </td>
              <td>{what}</td>
            </tr>
          ))}
          {stations.map((s, i) => (
            <tr key={s.to}>
              <td>
                <kbd>{i + 1}</kbd>
              </td>
              <td>{s.name}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p style={{ marginTop: 12 }}>
        <Link to="/kitchen?tab=device" onClick={onClose}>
          Switch single letters off or on
        </Link>
      </p>
    </Modal>
  );
}
