import { Modal, Text, UnstyledButton } from '@mantine/core';
import { IconKeyboard, IconPlus, IconSearch } from '@tabler/icons-react';
import { Link } from 'react-router';
import { besides, stations } from './stations.ts';
import { ThemeChoice } from './ThemeChoice.tsx';

/** What does not fit the bar below: the other stations, the finder, how it looks. */
export default function MoreSheet({ onClose, onFind }: { onClose: () => void; onFind: () => void }) {
  const rest = [...stations.filter((s) => !s.thumb), ...besides];
  return (
    <Modal
      opened
      onClose={onClose}
      title={
        <Text span variant="mid">
          More
        </Text>
      }
      yOffset="auto"
      classNames={{ inner: 'sheet-inner', content: 'sheet' }}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <div className="sheet-links">
        {rest.map(({ to, name, Icon }) => (
          <Link key={to} to={to} onClick={onClose}>
            <Icon size={24} stroke={1.8} aria-hidden />
            {name}
          </Link>
        ))}
        <Link to="/eat?log=1" onClick={onClose}>
          <IconPlus size={24} stroke={1.8} aria-hidden />
          Log a meal
        </Link>
        <UnstyledButton onClick={onFind}>
          <IconSearch size={24} stroke={1.8} aria-hidden />
          Find
        </UnstyledButton>
        <Link to="/kitchen?tab=device" onClick={onClose}>
          <IconKeyboard size={24} stroke={1.8} aria-hidden />
          This device
        </Link>
      </div>
      <ThemeChoice />
    </Modal>
  );
}
