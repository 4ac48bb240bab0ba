import { AppShell, Box, SimpleGrid } from '@mantine/core';
import { NavLink } from 'react-router';
import c from './Frame.module.css';
import { besides, stations } from './stations.ts';

const Station = ({ to, name, Icon, size }: Pick<(typeof stations | typeof besides)[number], 'to' | 'name' | 'Icon'> & { size: number }) => (
  <NavLink to={to} end={to === '/'} className={c.station}>
    <Icon size={size} stroke={1.8} aria-hidden />
    {name}
  </NavLink>
);

/** The stations in working order, at the left of a table's screen. */
export function Rail() {
  return (
    <AppShell.Navbar component="nav" visibleFrom="sm" className={c.rail} aria-label="Stations">
      <Box mb={8}>
        <svg
          width="40"
          height="40"
          viewBox="0 0 40 40"
          fill="none"
          stroke="#fff"
          strokeWidth="2.4"
          strokeLinejoin="round"
          aria-hidden="true"
        >
          <path d="M5 18L20 6l15 12M9 16v17h22V16M9 25h22M16 33v-8M24 33v-8" />
        </svg>
      </Box>
      {stations.map((s) => (
        <Station key={s.to} size={22} {...s} />
      ))}
      <Box w={44} h={1.5} my={5} bg="var(--rail-line)" role="separator" />
      {besides.map((s) => (
        <Station key={s.to} size={22} {...s} />
      ))}
    </AppShell.Navbar>
  );
}

/** The five stations that a thumb needs, below; the rest is in the sheet. */
export function BottomBar() {
  return (
    <AppShell.Footer className={c.below} hiddenFrom="sm">
      <SimpleGrid component="nav" cols={5} spacing={4} aria-label="Stations at hand">
        {stations
          .filter((s) => s.thumb)
          .map((s) => (
            <Station key={s.to} size={24} {...s} />
          ))}
      </SimpleGrid>
    </AppShell.Footer>
  );
}
