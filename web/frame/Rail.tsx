import { NavLink } from 'react-router';
import { besides, stations } from './stations.ts';

const onClass =
  (base: string) =>
  ({ isActive }: { isActive: boolean }): string =>
    `${base}${isActive ? ' on' : ''}`;

/** The stations in working order, at the left of a table's screen. */
export function Rail() {
  return (
    <nav className="rail" aria-label="Stations">
      <svg
        className="hut"
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
      {stations.map(({ to, name, Icon }) => (
        <NavLink key={to} to={to} end={to === '/'} className={onClass('st')}>
          <Icon size={22} stroke={1.8} aria-hidden />
          {name}
        </NavLink>
      ))}
      <div className="sep" />
      {besides.map(({ to, name, Icon }) => (
        <NavLink key={to} to={to} className={onClass('st')}>
          <Icon size={22} stroke={1.8} aria-hidden />
          {name}
        </NavLink>
      ))}
    </nav>
  );
}

/** The five stations that a thumb needs, below; the rest is in the sheet. */
export function BottomBar() {
  return (
    <nav className="bottombar" aria-label="Stations at hand">
      {stations
        .filter((s) => s.thumb)
        .map(({ to, name, Icon }) => (
          <NavLink key={to} to={to} end={to === '/'} className={onClass('')}>
            <Icon size={24} stroke={1.8} aria-hidden />
            {name}
          </NavLink>
        ))}
    </nav>
  );
}
