import { Button, Drawer, SimpleGrid, Stack, Text } from '@mantine/core';
import { IconKeyboard, IconPlus, IconQrcode, IconSearch, type Icon } from '@tabler/icons-react';
import { Link } from 'react-router';
import { besides, stations } from './stations.ts';
import { ThemeChoice } from './ThemeChoice.tsx';

/** One way out of the sheet: a picture over its name. */
function Tile({ to, name, Icon, onClick }: { to?: string; name: string; Icon: Icon; onClick: () => void }) {
  const face = (
    <Stack gap={4} align="center">
      <Icon size={24} stroke={1.8} aria-hidden />
      {name}
    </Stack>
  );
  const look = { variant: 'light', h: 76, px: 4, onClick } as const;
  return to === undefined ? (
    <Button {...look}>{face}</Button>
  ) : (
    <Button {...look} component={Link} to={to}>
      {face}
    </Button>
  );
}

/** What does not fit the bar below: the other stations, the finder, how it looks. */
export default function MoreSheet({ onClose, onFind }: { onClose: () => void; onFind: () => void }) {
  const rest = [...stations.filter((s) => !s.thumb), ...besides];
  return (
    <Drawer
      opened
      position="bottom"
      size="auto"
      radius="16px 16px 0 0"
      onClose={onClose}
      title={
        <Text span variant="mid">
          More
        </Text>
      }
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <SimpleGrid cols={3} spacing={8} mb={16}>
        {rest.map(({ to, name, Icon }) => (
          <Tile key={to} to={to} name={name} Icon={Icon} onClick={onClose} />
        ))}
        <Tile to="/eat?log=1" name="Log a meal" Icon={IconPlus} onClick={onClose} />
        <Tile to="/scan" name="Read a code" Icon={IconQrcode} onClick={onClose} />
        <Tile name="Find" Icon={IconSearch} onClick={onFind} />
        <Tile to="/kitchen?tab=device" name="This device" Icon={IconKeyboard} onClick={onClose} />
      </SimpleGrid>
      <ThemeChoice />
    </Drawer>
  );
}
